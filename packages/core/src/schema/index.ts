export { readRecords, type Unreadable } from './readRecords.ts';
export * from './schema.ts';
export type { FindRecord, Raw, RawFieldEdit, Upgrade } from './upgrade.ts';
export { type StoredHistory, type StoredStep, upgradeHistory } from './upgradeHistory.ts';
export { UPGRADES } from './upgrades/index.ts';
export { upgradeWith } from './upgradeWith.ts';
