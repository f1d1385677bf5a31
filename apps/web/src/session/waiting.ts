import { FIRST_SCHEMA, type FindRecord, LIMITS, readEdits, SCHEMA, upgradeEdits } from '@cove/core';
import type { MadeChange } from './streamMessages.ts';

/** A change that waits. One that was made under an earlier schema is kept and sent as it was made: so the server knows it again. */
export interface Waiting extends MadeChange {
  asMade?: MadeChange;
}

/** A change under the schema of now, and as it was made. One that cannot be read alters nothing here; the server has the word. */
export function broughtUp(change: MadeChange, find: FindRecord): Waiting {
  const { schema = FIRST_SCHEMA } = change;
  if (schema === SCHEMA) return change;
  const edits = readEdits(upgradeEdits(change.edits, schema, find), LIMITS.computedChange.edits);
  return { ...change, schema: SCHEMA, edits: edits.ok ? edits.value : [], asMade: { ...change, schema } };
}
