import { type Effects, NOTHING } from './kinds/effects.ts';
import type { Foundation } from './kinds/foundation.ts';
import { type Kind, kindNamed, type RecordMap } from './kinds/index.ts';
import type { Location } from './kinds/recordKind.ts';
import type { Id, SiteRecord } from './records.ts';
import { getRecord, type Site } from './site.ts';

const naming = <K extends Kind>(kind: K, record: RecordMap[K], site: Site): string =>
  kindNamed(kind).name(record, site, id => nameOf(site, id));

/** What a record is called where it is spoken of; its id where there is none. */
export function nameOf(site: Site, id: Id): string {
  const record = getRecord(site, id);
  if (record) return naming(record.kind, record, site);
  return id.startsWith('default-') ? `default of ${id.slice(8)}` : id;
}

const locating = <K extends Kind>(kind: K, record: RecordMap[K], site: Site): Location | null =>
  kindNamed(kind).location(record, site);

/** Where a record can be changed; null for one that is changed nowhere alone, or is not there. */
export function locationOf(site: Site, id: Id): Location | null {
  const record = getRecord(site, id);
  return record ? locating(record.kind, record, site) : null;
}

const affecting = <K extends Kind>(
  kind: K,
  was: RecordMap[K] | undefined,
  is: RecordMap[K] | undefined,
): Effects => kindNamed(kind).effects(was, is);

const founding = <K extends Kind>(kind: K, record: RecordMap[K], site: Site): Foundation | null =>
  kindNamed(kind).guide?.foundation(record, site) ?? null;

/** What of a guide a record belongs to; null for one that belongs to the pages. */
export const foundationOf = (site: Site, record: SiteRecord): Foundation | null =>
  founding(record.kind, record, site);

/** What an edit of a record alters in a document that is drawn. A record keeps its kind. */
export function effectsOf(was: SiteRecord | undefined, is: SiteRecord | undefined): Effects {
  const kind = (is ?? was)?.kind;
  return kind === undefined || was === is ? NOTHING : affecting(kind, was, is);
}
