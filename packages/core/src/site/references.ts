import { type Kind, kindNamed, type RecordMap, type SiteRecord } from './kinds/index.ts';
import type { Reference } from './reference.ts';

const known = new WeakMap<SiteRecord, readonly Reference[]>();

const mentionedBy = <K extends Kind>(kind: K, record: RecordMap[K]): readonly Reference[] =>
  kindNamed(kind).references(record);

/** Every record that this one mentions; worked out once for each record. */
export function referencesOf(record: SiteRecord): readonly Reference[] {
  const found = known.get(record) ?? mentionedBy(record.kind, record);
  known.set(record, found);
  return found;
}
