import type { Edit, Id } from '@cove/core';

/** Sets a note, or takes it away where it is empty. */
export const noteEdit = (id: Id, note: string): Edit[] => [
  note === '' ? { op: 'unset', id, path: ['note'] } : { op: 'set', id, path: ['note'], value: note },
];
