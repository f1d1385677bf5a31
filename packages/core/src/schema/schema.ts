import { UPGRADES } from './upgrades/index.ts';
import { upgradeWith } from './upgradeWith.ts';

/** What was stored before anything bore the number of its schema. */
export const FIRST_SCHEMA = 1;

const { schema, upgradeRecord, upgradeEdits, upgradeSlot } = upgradeWith(UPGRADES);

/** The shape that records have now. All that is stored or sent bears the number of the shape it has. */
export const SCHEMA: number = schema;
export { upgradeEdits, upgradeRecord, upgradeSlot };
