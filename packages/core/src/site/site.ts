import { isFileType } from './kinds/asset.ts';
import { KINDS, type Kind } from './kinds/index.ts';
import { byOrder } from './order.ts';
import {
  type Area,
  type AssetRecord,
  type Id,
  isNode,
  type RecordOf,
  SETTINGS,
  type SectionRecord,
  type SettingsRecord,
  type SiteRecord,
} from './records.ts';

type Kinds = { readonly [K in Kind]: ReadonlyMap<Id, RecordOf<K>> };

/** A whole site at one moment. Never altered: an edit makes another that shares what did not change. */
export interface Site {
  /** Maps keep their identity while no record of their kind changes, so that what is made of them can be kept. */
  readonly kinds: Kinds;
  /** Ids of what stands in a place, in order. */
  readonly children: ReadonlyMap<Id, readonly Id[]>;
}

/** What invariants ask; a site in memory answers it, and so does a server that has read a few rows. */
export interface Lookup {
  get(id: Id): SiteRecord | undefined;
  childrenOf(id: Id): readonly Id[];
  /** Records that refer to this one, with the path they do it at. */
  referrersOf(id: Id): Iterable<{ from: Id; path: string }>;
  /** Pages that stand in a place under an address. */
  pagesAt(parent: Id, path: string): readonly Id[];
}

const isWhole = (kinds: Partial<Kinds>): kinds is Kinds => KINDS.every(kind => kinds[kind] !== undefined);

function noRecords(): Kinds {
  const kinds: Partial<Kinds> = Object.fromEntries(KINDS.map(kind => [kind, new Map()]));
  if (!isWhole(kinds)) throw new Error('a kind of record is missing');
  return kinds;
}

export const EMPTY_SITE: Site = { kinds: noRecords(), children: new Map() };

/** Kinds in the order in which an id is looked for: those with the most records first. */
const LIKELIEST: readonly Kind[] = ['widget', 'section', 'token', ...KINDS];

export function getRecord(site: Site, id: Id): SiteRecord | undefined {
  for (const kind of LIKELIEST) {
    const record = site.kinds[kind].get(id);
    if (record) return record;
  }
  return undefined;
}

export const childrenOf = (site: Site, id: Id): readonly Id[] => site.children.get(id) ?? [];

export function settingsOf(site: Site): SettingsRecord {
  const settings = site.kinds.settings.get(SETTINGS);
  if (!settings) throw new Error('a site without settings');
  return settings;
}

export function* allRecords(site: Site): Generator<SiteRecord> {
  for (const kind of KINDS) yield* site.kinds[kind].values();
}

const atOf = (record: SiteRecord | null | undefined) => (record && 'at' in record ? record.at : null);

/** The next site: `after` holds what each touched id now is, null for what is gone. */
export function withRecords(site: Site, after: ReadonlyMap<Id, SiteRecord | null>): Site {
  if (after.size === 0) return site;
  const kinds: { [K in Kind]: ReadonlyMap<Id, RecordOf<K>> } = { ...site.kinds };
  const fresh = new Set<Kind>();
  const parents = new Set<Id>();
  /** What now stands in each place and did not, or stood elsewhere in it. */
  const arrived = new Map<Id, Id[]>();
  const open = <K extends Kind>(kind: K): Map<Id, RecordOf<K>> => {
    if (!fresh.has(kind)) {
      fresh.add(kind);
      const copy: ReadonlyMap<Id, RecordOf<K>> = new Map(kinds[kind]);
      Object.assign(kinds, { [kind]: copy });
    }
    return kinds[kind] as Map<Id, RecordOf<K>>;
  };
  const put = <K extends Kind>(record: RecordOf<K> & { kind: K }) =>
    open<K>(record.kind).set(record.id, record);
  for (const [id, record] of after) {
    const before = getRecord(site, id);
    if (before && before.kind !== record?.kind) open(before.kind).delete(id);
    if (record) put(record);
    const was = atOf(before);
    const is = atOf(record);
    if (was?.parent === is?.parent && was?.order === is?.order) continue;
    if (was) parents.add(was.parent);
    if (!is) continue;
    parents.add(is.parent);
    const there = arrived.get(is.parent);
    if (there) there.push(id);
    else arrived.set(is.parent, [id]);
  }
  if (parents.size === 0) return { kinds, children: site.children };
  const next: Site = { kinds, children: site.children };
  const children = new Map(site.children);
  for (const parent of parents) {
    const ids = new Set(
      childrenOf(site, parent).filter(id => !after.has(id) || atOf(after.get(id))?.parent === parent),
    );
    for (const id of arrived.get(parent) ?? []) ids.add(id);
    const sorted = [...ids]
      .map(id => ({ id, order: atOf(getRecord(next, id))?.order ?? '' }))
      .sort(byOrder)
      .map(it => it.id);
    if (sorted.length > 0) children.set(parent, sorted);
    else children.delete(parent);
  }
  return { kinds, children };
}

export const siteOf = (records: Iterable<SiteRecord>): Site =>
  withRecords(EMPTY_SITE, new Map([...records].map(record => [record.id, record])));

/** Ids of a record and of all that stands in it, outermost first; no more of them than asked for, give or take one place. */
export function subtree(
  lookup: Pick<Lookup, 'childrenOf'>,
  id: Id,
  most: number = Number.POSITIVE_INFINITY,
): Id[] {
  const ids = [id];
  for (let i = 0; i < ids.length && ids.length <= most; i++)
    for (const child of lookup.childrenOf(ids[i] ?? id)) ids.push(child);
  return ids;
}

/**
 * Sections and widgets that stand directly in something. Pages below a page stand among the same children, and versions of
 * a section that were set aside among what it holds; neither is meant.
 */
export function nodesUnder(site: Site, parent: Id): Id[] {
  const inSection = site.kinds.section.has(parent);
  return childrenOf(site, parent).filter(id =>
    inSection ? site.kinds.widget.has(id) : isNode(getRecord(site, id)),
  );
}

/** The site's pictures; what else is kept among them is only linked to. */
export const picturesOf = ({ kinds }: Pick<Site, 'kinds'>): AssetRecord[] =>
  [...kinds.asset.values()].filter(it => !isFileType(it.mime));
export const filesOf = ({ kinds }: Pick<Site, 'kinds'>): AssetRecord[] =>
  [...kinds.asset.values()].filter(it => isFileType(it.mime));

/** Versions of a section that were set aside: they stand in it, and show nowhere. */
export const versionsOf = (site: Site, section: Id): SectionRecord[] =>
  childrenOf(site, section)
    .map(id => site.kinds.section.get(id))
    .filter(version => version !== undefined);

/** Sections and widgets that stand in something, in the order in which they stand; pages below a page are left out. */
export const nodesIn = (site: Site, parent: Id): Id[] =>
  nodesUnder(site, parent).flatMap(id => subtree({ childrenOf: it => nodesUnder(site, it) }, id));

/** Sections of an area that stand directly on a page, or at the site for all pages. */
export const sectionsOf = (site: Site, parent: Id, area: Area): SectionRecord[] =>
  childrenOf(site, parent)
    .map(id => site.kinds.section.get(id))
    .filter(section => section !== undefined)
    .filter(section => section.area === area);
