export { readRecords, type Unreadable } from './readRecords.ts';
export * from './schema.ts';
export type { Raw, RawFieldEdit, Upgrade } from './upgrade.ts';
export { upgradeOvertaken, upgradeStep } from './upgradeHistory.ts';
export { UPGRADES } from './upgrades/index.ts';
export { type FindRecord, upgradeWith } from './upgradeWith.ts';
