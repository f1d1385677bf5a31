import type { Edit } from './change.ts';
import type { Id, SiteRecord } from './records.ts';
import { allRecords, getRecord, type Site } from './site.ts';
import { stableText } from './stableText.ts';

const same = (a: unknown, b: unknown): boolean => a === b || stableText(a) === stableText(b);

/** Edits that make one record what another is; both are of one kind and id. */
export function fieldEdits(before: SiteRecord, after: SiteRecord): Edit[] {
  const was = new Map<string, unknown>(Object.entries(before));
  const is = new Map<string, unknown>(Object.entries(after));
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((field): Edit[] => {
    if (field === 'id' || field === 'kind' || same(was.get(field), is.get(field))) return [];
    return is.has(field)
      ? [{ op: 'set', id: after.id, path: [field], value: is.get(field) }]
      : [{ op: 'unset', id: after.id, path: [field] }];
  });
}

/** Edits that make one site what another is: what is new, what differs, then what is gone. */
export function differenceTo(from: Site, to: Site): Edit[] {
  const puts: Edit[] = [];
  const sets: Edit[] = [];
  const removes: Edit[] = [];
  for (const record of allRecords(to)) {
    const before = getRecord(from, record.id);
    if (before && before.kind === record.kind) sets.push(...fieldEdits(before, record));
    else puts.push({ op: 'put', record });
  }
  const gone = new Set<Id>();
  for (const record of allRecords(from)) {
    if (getRecord(to, record.id)?.kind === record.kind) continue;
    gone.add(record.id);
    // What stands in something that goes goes with it.
    if (!('at' in record) || !gone.has(record.at.parent)) removes.push({ op: 'remove', id: record.id });
  }
  return [...puts, ...sets, ...removes];
}
