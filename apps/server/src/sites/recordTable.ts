import { type Id, type Lookup, type Outcome, referencesOf, type SiteRecord } from '@cove/core';
import type { Query } from '../common/database';

/** What was asked of records that are not loaded yet. */
interface Asked {
  ids: Set<Id>;
  children: Set<Id>;
  referrers: Set<Id>;
  /** Places and addresses, joined. */
  addresses: Set<string>;
}

const nothing = (): Asked => ({
  ids: new Set(),
  children: new Set(),
  referrers: new Set(),
  addresses: new Set(),
});

/** Rounds that ask for what the last one has found; from then on whole chains are fetched at once. */
const STEP_BY_STEP = 3;

/** Records that others lead to by what invariants follow: places, values of tokens, roles, presets. */
const CHAIN = `r.path = 'at.parent' or r.path = 'value' or r.path = 'fallback' or r.path like 'includes.%'`;

const IDS = 'select body from records where site_id = $1 and id = any($2)';
const IDS_AND_CHAINS = `
  with recursive more(id) as (
    select unnest($2::text[])
    union select r.to_id from more join record_references r on r.site_id = $1 and r.from_id = more.id and (${CHAIN}))
  select body from records where site_id = $1 and id in (select id from more)`;

const REFERRERS = `select from_id as "from", path, to_id as "to" from record_references where site_id = $1 and to_id = any($2)`;

/**
 * Answers invariants from a few rows. It starts empty and notes what it is asked; `load` fetches that, and the question
 * is asked again. Each round goes one step further, so a change never needs more rows than its invariants look at; what
 * is far from it is fetched in one go, so that there are few rounds however long a chain is.
 */
export class RowLookup implements Lookup {
  private readonly records = new Map<Id, SiteRecord | undefined>();
  private readonly children = new Map<Id, Id[]>();
  private readonly referrers = new Map<Id, { from: Id; path: string }[]>();
  private readonly pages = new Map<string, Id[]>();
  private asked = nothing();
  private rounds = 0;

  constructor(
    private readonly query: Query,
    private readonly site: string,
  ) {}

  get(id: Id): SiteRecord | undefined {
    if (!this.records.has(id)) this.asked.ids.add(id);
    return this.records.get(id);
  }

  childrenOf(id: Id): readonly Id[] {
    const known = this.children.get(id);
    if (!known) this.asked.children.add(id);
    return known ?? [];
  }

  referrersOf(id: Id): Iterable<{ from: Id; path: string }> {
    const known = this.referrers.get(id);
    if (!known) this.asked.referrers.add(id);
    return known ?? [];
  }

  pagesAt(parent: Id, path: string): readonly Id[] {
    const key = `${parent} ${path}`;
    const known = this.pages.get(key);
    if (!known) this.asked.addresses.add(key);
    return known ?? [];
  }

  /**
   * Fetches some records with all that stands in them, which a removal takes away. False where they are more than so many;
   * then nothing may be asked that goes by them.
   */
  async loadSubtrees(ids: readonly Id[], most: number): Promise<boolean> {
    if (ids.length === 0) return true;
    const rows = await this.query<{ id: Id; parent: Id | null; body: SiteRecord }>(
      `with recursive inside(id) as (
         select unnest($2::text[])
         union select r.id from inside join records r on r.site_id = $1 and r.parent = inside.id)
       select id, parent, body from records where site_id = $1 and id in (select id from inside)
       order by body->'at'->>'order' collate "C", id collate "C" limit $3`,
      [this.site, ids, most + 1],
    );
    if (rows.length > most) return false;
    for (const { id, body } of rows) {
      this.records.set(id, body);
      this.children.set(id, []);
    }
    for (const { id, parent } of rows) if (parent !== null) this.children.get(parent)?.push(id);
    const referred = await this.query<{ from: Id; path: string; to: Id }>(REFERRERS, [
      this.site,
      rows.map(it => it.id),
    ]);
    for (const { id } of rows) this.referrers.set(id, []);
    for (const { from, path, to } of referred) this.referrers.get(to)?.push({ from, path });
    return true;
  }

  /** Fetches what was asked since the last time; false when nothing was. */
  async load(): Promise<boolean> {
    const { ids, children, referrers, addresses } = this.asked;
    this.asked = nothing();
    if (ids.size + children.size + referrers.size + addresses.size === 0) return false;
    const far = ++this.rounds > STEP_BY_STEP;
    if (ids.size > 0) {
      for (const id of ids) this.records.set(id, undefined);
      const rows = await this.query<{ body: SiteRecord }>(far ? IDS_AND_CHAINS : IDS, [this.site, [...ids]]);
      for (const { body } of rows) this.records.set(body.id, body);
    }
    if (children.size > 0) {
      for (const id of children) this.children.set(id, []);
      const rows = await this.query<{ id: Id; parent: Id }>(
        'select id, parent from records where site_id = $1 and parent = any($2) order by body->\'at\'->>\'order\' collate "C", id collate "C"',
        [this.site, [...children]],
      );
      for (const { id, parent } of rows) this.children.get(parent)?.push(id);
    }
    if (referrers.size > 0) {
      for (const id of referrers) this.referrers.set(id, []);
      const rows = await this.query<{ from: Id; path: string; to: Id }>(REFERRERS, [
        this.site,
        [...referrers],
      ]);
      for (const { from, path, to } of rows) this.referrers.get(to)?.push({ from, path });
    }
    if (addresses.size > 0) {
      for (const key of addresses) this.pages.set(key, []);
      const rows = await this.query<{ id: Id; key: string }>(
        `select r.id, r.parent || ' ' || (r.body->>'path') as key
         from unnest($2::text[], $3::text[]) as a(parent, path)
           join records r on r.site_id = $1 and r.kind = 'page' and r.parent = a.parent and r.body->>'path' = a.path`,
        [
          this.site,
          [...addresses].map(it => it.slice(0, it.indexOf(' '))),
          [...addresses].map(it => it.slice(it.indexOf(' ') + 1)),
        ],
      );
      for (const { id, key } of rows) this.pages.get(key)?.push(id);
    }
    return true;
  }

  /** References a record had before this change, if it was looked at. */
  before(id: Id): SiteRecord | undefined {
    return this.records.get(id);
  }
}

const referenceKeys = (record: SiteRecord | null | undefined): Map<string, { path: string; to: Id }> =>
  new Map(record ? referencesOf(record).map(({ path, to }) => [`${path} ${to}`, { path, to }]) : []);

/** Rows to write for an outcome: records put and gone, references new and gone. */
export function rowsOf({ after }: Pick<Outcome, 'after'>, lookup: RowLookup) {
  const put: { id: Id; kind: string; parent: Id | null; body: SiteRecord }[] = [];
  const gone: Id[] = [];
  const linked: { from: Id; path: string; to: Id }[] = [];
  const unlinked: { from: Id; path: string; to: Id }[] = [];
  for (const [id, record] of after) {
    const was = lookup.before(id);
    const before = referenceKeys(was);
    const now = referenceKeys(record);
    if (record)
      put.push({ id, kind: record.kind, parent: 'at' in record ? record.at.parent : null, body: record });
    else if (was) gone.push(id);
    for (const [key, it] of now) if (!before.has(key)) linked.push({ from: id, ...it });
    for (const [key, it] of before) if (!now.has(key)) unlinked.push({ from: id, ...it });
  }
  return { put, gone, linked, unlinked };
}
