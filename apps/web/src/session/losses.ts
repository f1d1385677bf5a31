import {
  type Change,
  type Content,
  type Edit,
  type Id,
  isRichText,
  plainOf,
  type Site,
  type SiteRecord,
  stableText,
} from '@cove/core';
import type { Accepted } from './streamMessages.ts';

/** Something made here that no longer stands, with what would bring it back. */
export interface Loss {
  n: number;
  /** Who wrote over it, or took away what it was for; empty where that is not known. */
  by: string;
  how: 'overwritten' | 'removed' | 'refused';
  edit: Edit & { op: 'set' | 'unset' };
  /** The site just before, in which what it is about has its name. */
  site: Site;
}

type OwnEdit = Loss['edit'];
interface Mine {
  seq: number;
  edit: OwnEdit;
}

const keyOf = (edit: OwnEdit): string => edit.path.join(' ');
const isOwn = (edit: Edit): edit is OwnEdit => edit.op === 'set' || edit.op === 'unset';
const valueSet = (edit: OwnEdit): unknown => (edit.op === 'set' ? edit.value : undefined);

/** The words that an edit set, where it set words. */
export function wordsOf(edit: Edit): string | null {
  if (edit.op !== 'set' || edit.path[0] !== 'content') return null;
  const value = edit.value as Content;
  if (isRichText(value)) return plainOf(value);
  return typeof value === 'string' ? value : null;
}

/**
 * Tells when what was written here is overwritten by somebody who had not seen it, or when what it was for is removed.
 * Whoever had seen it and wrote something else meant to, and nothing is told.
 */
export class LossWatch {
  private readonly mine = new Map<Id, Map<string, Mine>>();
  private count = 0;

  /** Notes a change made here once it has its number; `dropped` are the numbers of edits that met nothing. */
  accepted({ edits, seq }: Pick<Accepted, 'edits' | 'seq'>, dropped: ReadonlySet<number>): void {
    for (const [i, edit] of edits.entries()) {
      if (!isOwn(edit) || dropped.has(i)) continue;
      const paths = this.mine.get(edit.id) ?? new Map<string, Mine>();
      paths.set(keyOf(edit), { seq, edit });
      this.mine.set(edit.id, paths);
    }
  }

  loss(how: Loss['how'], by: string, edit: OwnEdit, site: Site): Loss {
    return { n: ++this.count, how, by, edit, site };
  }

  /** What a change made elsewhere does to what was written here. `after` is what each touched record has become. */
  othersChange(
    { edits, seq, base, by }: Accepted,
    site: Site,
    after: ReadonlyMap<Id, SiteRecord | null>,
    pending: readonly Change[],
  ): Loss[] {
    const losses: Loss[] = [];
    for (const edit of edits) {
      if (!isOwn(edit)) continue;
      const paths = this.mine.get(edit.id);
      const known = paths?.get(keyOf(edit));
      if (!paths || !known || known.seq > seq) continue;
      paths.delete(keyOf(edit));
      if (base < known.seq && stableText(valueSet(edit)) !== stableText(valueSet(known.edit)))
        losses.push(this.loss('overwritten', by ?? '', known.edit, site));
    }
    for (const [id, record] of after) {
      if (record !== null) continue;
      for (const { seq: at, edit } of this.mine.get(id)?.values() ?? [])
        if (base < at) losses.push(this.loss('removed', by ?? '', edit, site));
      this.mine.delete(id);
      for (const change of pending)
        for (const edit of change.edits)
          if (isOwn(edit) && edit.id === id) losses.push(this.loss('removed', by ?? '', edit, site));
    }
    return losses;
  }
}
