import { type Id, type Lookup, type Outcome, referencesOf, type SiteRecord } from '@cove/core';
import type { QueryRunner } from 'typeorm';

/** What was asked of records that are not loaded yet. */
interface Asked {
  ids: Set<Id>;
  children: Set<Id>;
  referrers: Set<Id>;
}

/**
 * Answers invariants from a few rows. It starts empty and notes what it is asked; `load` fetches that, and the question
 * is asked again. Each round goes one step further, so a change never needs more rows than its invariants look at.
 */
export class RowLookup implements Lookup {
  private readonly records = new Map<Id, SiteRecord | undefined>();
  private readonly children = new Map<Id, Id[]>();
  private readonly referrers = new Map<Id, { from: Id; path: string }[]>();
  private asked: Asked = { ids: new Set(), children: new Set(), referrers: new Set() };

  constructor(
    private readonly runner: QueryRunner,
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

  /** Fetches what was asked since the last time; false when nothing was. */
  async load(): Promise<boolean> {
    const { ids, children, referrers } = this.asked;
    this.asked = { ids: new Set(), children: new Set(), referrers: new Set() };
    if (ids.size + children.size + referrers.size === 0) return false;
    if (ids.size > 0) {
      for (const id of ids) this.records.set(id, undefined);
      const rows: { body: SiteRecord }[] = await this.runner.query(
        'select body from records where site_id = $1 and id = any($2)',
        [this.site, [...ids]],
      );
      for (const { body } of rows) this.records.set(body.id, body);
    }
    if (children.size > 0) {
      for (const id of children) this.children.set(id, []);
      const rows: { id: Id; parent: Id }[] = await this.runner.query(
        'select id, parent from records where site_id = $1 and parent = any($2) order by body->\'at\'->>\'order\' collate "C", id collate "C"',
        [this.site, [...children]],
      );
      for (const { id, parent } of rows) this.children.get(parent)?.push(id);
    }
    if (referrers.size > 0) {
      for (const id of referrers) this.referrers.set(id, []);
      const rows: { from: Id; path: string; to: Id }[] = await this.runner.query(
        'select from_id as "from", path, to_id as "to" from record_references where site_id = $1 and to_id = any($2)',
        [this.site, [...referrers]],
      );
      for (const { from, path, to } of rows) this.referrers.get(to)?.push({ from, path });
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
export function rowsOf(outcome: Outcome, lookup: RowLookup) {
  const put: { id: Id; kind: string; parent: Id | null; body: SiteRecord }[] = [];
  const gone: Id[] = [];
  const linked: { from: Id; path: string; to: Id }[] = [];
  const unlinked: { from: Id; path: string; to: Id }[] = [];
  for (const [id, record] of outcome.after) {
    const before = referenceKeys(lookup.before(id));
    const after = referenceKeys(record);
    if (record)
      put.push({ id, kind: record.kind, parent: 'at' in record ? record.at.parent : null, body: record });
    else gone.push(id);
    for (const [key, it] of after) if (!before.has(key)) linked.push({ from: id, ...it });
    for (const [key, it] of before) if (!after.has(key)) unlinked.push({ from: id, ...it });
  }
  return { put, gone, linked, unlinked };
}
