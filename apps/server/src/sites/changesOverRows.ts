import { type Id, type Lookup, type Outcome, referencesOf, type SiteRecord } from '@cove/core';
import type { RowLookup } from './recordTable';

interface Referrer {
  from: Id;
  path: string;
}

const parentOf = (record: SiteRecord | null | undefined): Id | undefined =>
  record && 'at' in record ? record.at.parent : undefined;

/** What is stored, with the changes over it that were accepted since and are not written yet. */
export class ChangesOverRows implements Lookup {
  /** What each touched id has become; null for what is gone. */
  readonly after = new Map<Id, SiteRecord | null>();

  constructor(readonly rows: RowLookup) {}

  get(id: Id): SiteRecord | undefined {
    // The row is asked for in any case: what is written is told by what was there.
    const stored = this.rows.get(id);
    const touched = this.after.get(id);
    return touched === undefined ? stored : (touched ?? undefined);
  }

  childrenOf(id: Id): readonly Id[] {
    const stored = this.rows.childrenOf(id);
    if (this.after.size === 0) return stored;
    const stays = stored.filter(child => !this.after.has(child) || parentOf(this.after.get(child)) === id);
    const known = new Set(stays);
    for (const [child, record] of this.after)
      if (parentOf(record) === id && !known.has(child)) stays.push(child);
    return stays;
  }

  *referrersOf(id: Id): Iterable<Referrer> {
    for (const it of this.rows.referrersOf(id)) if (!this.after.has(it.from)) yield it;
    for (const [from, record] of this.after)
      for (const { path, to } of record ? referencesOf(record) : []) if (to === id) yield { from, path };
  }

  pagesAt(parent: Id, path: string): readonly Id[] {
    const pages = this.rows.pagesAt(parent, path).filter(id => !this.after.has(id));
    for (const [id, record] of this.after)
      if (record?.kind === 'page' && record.at.parent === parent && record.path === path) pages.push(id);
    return pages;
  }

  load(): Promise<boolean> {
    return this.rows.load();
  }

  /** Lays a further change over the rest. */
  take({ after }: Outcome): void {
    for (const [id, record] of after) this.after.set(id, record);
  }
}
