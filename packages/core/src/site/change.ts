import type { Id, SiteRecord } from './records.ts';

/** `[field]` or `[field, key]` inside a record. */
export type Path = readonly [string] | readonly [string, string];

/** A primitive act. Everything that alters a site is a list of these. */
export type Edit =
  | { op: 'put'; record: SiteRecord }
  | { op: 'set'; id: Id; path: Path; value: unknown }
  | { op: 'unset'; id: Id; path: Path }
  /** Takes the record and all that stands in it. */
  | { op: 'remove'; id: Id };

export interface Change {
  /** Made by the client; the same id twice is accepted once. */
  id: string;
  edits: readonly Edit[];
}

export const targetOf = (edit: Edit): Id => (edit.op === 'put' ? edit.record.id : edit.id);
