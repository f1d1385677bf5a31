import { type Id, KINDS, referencesOf, type Site, type SiteRecord } from '../site/index.ts';

export interface Mention {
  from: Id;
  path: string;
}

type Index = ReadonlyMap<Id, readonly Mention[]>;
const byKind = new WeakMap<ReadonlyMap<Id, SiteRecord>, Index>();

function indexOf(records: ReadonlyMap<Id, SiteRecord>): Index {
  const known = byKind.get(records);
  if (known) return known;
  const index = new Map<Id, Mention[]>();
  for (const record of records.values())
    for (const { path, to } of referencesOf(record)) {
      const list = index.get(to);
      if (list) list.push({ from: record.id, path });
      else index.set(to, [{ from: record.id, path }]);
    }
  byKind.set(records, index);
  return index;
}

/** Every mention of a record by another. What is asked once is kept while no record of the mentioning kind changes. */
export const mentionsOf = (site: Site, id: Id): Mention[] =>
  KINDS.flatMap(kind => indexOf(site.kinds[kind]).get(id) ?? []);

/** Ids of the records that mention this one directly, each once. */
export const usersOf = (site: Site, id: Id): Id[] =>
  [...new Set(mentionsOf(site, id).map(mention => mention.from))].filter(from => from !== id);
