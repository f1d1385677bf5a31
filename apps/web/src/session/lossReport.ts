import { type Edit, getRecord, type Id, type Site, type SiteRecord } from '@cove/core';
import { type Loss, LossWatch, wordsOf } from './losses.ts';
import type { Accepted } from './streamMessages.ts';
import type { Waiting } from './waiting.ts';

const NONE: ReadonlySet<number> = new Set();

/** Tells, once each, what was made here and no longer stands. */
export class LossReport {
  private readonly watch = new LossWatch();
  /** Edits that were told to be lost already. */
  private readonly reported = new Set<Edit>();
  /** Numbers of edits that met nothing, for changes whose answer came before their turn. */
  private readonly droppedOf = new Map<string, ReadonlySet<number>>();

  constructor(private readonly tell: (losses: readonly Loss[]) => void) {}

  /** What some edits of a change were for had been removed by the time it came. */
  dropped(change: Waiting, numbers: readonly number[], site: Site): void {
    if (numbers.length > 0) this.droppedOf.set(change.id, new Set(numbers));
    this.fresh(
      numbers.flatMap(i => {
        const edit = change.edits[i];
        return edit?.op === 'set' && getRecord(site, edit.id)
          ? [this.watch.loss('removed', '', edit, site)]
          : [];
      }),
    );
  }

  /** The server will not have a change: its words are not to be lost with it. */
  refused(change: Waiting, site: Site): void {
    this.fresh(
      change.edits.flatMap(edit =>
        edit.op === 'set' && wordsOf(edit) !== null ? [this.watch.loss('refused', '', edit, site)] : [],
      ),
    );
  }

  /** The turn of one’s own change has come. */
  ownTaken(change: Accepted): void {
    this.watch.accepted(change, this.droppedOf.get(change.id) ?? NONE);
    this.droppedOf.delete(change.id);
  }

  /** The turn of somebody else’s change has come; `after` is what each touched record has become. */
  othersTaken(
    change: Accepted,
    site: Site,
    after: ReadonlyMap<Id, SiteRecord | null>,
    waiting: readonly Waiting[],
  ): void {
    this.fresh(this.watch.othersChange(change, site, after, waiting));
  }

  private fresh(losses: readonly Loss[]): void {
    const fresh = losses.filter(({ edit }) => !this.reported.has(edit));
    for (const { edit } of fresh) this.reported.add(edit);
    if (fresh.length > 0) this.tell(fresh);
  }
}
