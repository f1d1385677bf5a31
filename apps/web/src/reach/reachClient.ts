import {
  allRecords,
  type Edit,
  type Forecast,
  getRecord,
  type Id,
  type Impact,
  type Override,
  type Promotion,
  type Result,
  type Site,
  type SiteRecord,
  type Slot,
} from '@cove/core';
import type { SiteSession } from '../session/siteSession.ts';
import type {
  Effect,
  FromReach,
  GuideOffer,
  GuideWish,
  PromotionOutlook,
  ReachCount,
  ToReach,
  UsePlace,
} from './messages.ts';

/** How long, in ms, edits are gathered before the worker is told; a drag makes many. */
const REST = 120;

/** The tab's side of the worker: tells it what alters, and asks. */
export class ReachClient {
  private readonly worker: Worker;
  private readonly waiting = new Map<number, (answer: FromReach) => void>();
  private readonly listeners = new Set<() => void>();
  private touched: Set<Id> | null = new Set();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private asked = 0;
  private latest: ReadonlyMap<Id, ReachCount> = new Map();
  private asking = false;
  private stale = true;

  constructor(private readonly session: SiteSession) {
    this.worker = new Worker(new URL('./reach.worker.ts', import.meta.url), { type: 'module' });
    this.worker.addEventListener('message', ({ data }: MessageEvent<FromReach>) => {
      const take = this.waiting.get(data.ask);
      this.waiting.delete(data.ask);
      take?.(data);
    });
    this.tell({ type: 'all', records: [...allRecords(session.kept)] });
    session.onTouched((_, touched) => this.note(touched));
    session.onClose(() => {
      clearTimeout(this.timer);
      this.worker.terminate();
    });
  }

  private tell(message: ToReach): void {
    this.worker.postMessage(message);
  }

  private note(touched: ReadonlySet<Id> | null): void {
    if (touched === null) this.touched = null;
    else for (const id of touched) this.touched?.add(id);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.flush(), REST);
  }

  /** Tells the worker of all that has altered; what is asked after this is asked of the newest site. */
  private flush(): void {
    clearTimeout(this.timer);
    // What is only shown is not told: its impact is asked for against what is kept.
    const site = this.session.kept;
    if (this.touched === null) this.tell({ type: 'all', records: [...allRecords(site)] });
    else if (this.touched.size === 0) return;
    else this.tell({ type: 'touched', records: recordsOf(site, this.touched) });
    this.touched = new Set();
    this.stale = true;
    if (this.listeners.size > 0) this.refresh();
  }

  private ask<T>(make: (ask: number) => ToReach, read: (answer: FromReach) => T): Promise<T> {
    this.flush();
    const ask = ++this.asked;
    return new Promise(resolve => {
      this.waiting.set(ask, answer => resolve(read(answer)));
      this.tell(make(ask));
    });
  }

  private refresh(): void {
    if (this.asking || !this.stale) return;
    this.asking = true;
    this.stale = false;
    void this.ask(
      ask => ({ type: 'reach', ask }),
      answer => ('reach' in answer ? answer.reach : this.latest),
    ).then(reach => {
      this.asking = false;
      this.latest = reach;
      for (const listener of this.listeners) listener();
      this.refresh();
    });
  }

  /** The reach of everything, as it was last worked out. */
  readonly reach = (): ReadonlyMap<Id, ReachCount> => this.latest;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    this.refresh();
    return () => this.listeners.delete(listener);
  };

  uses(id: Id): Promise<readonly UsePlace[]> {
    return this.ask(
      ask => ({ type: 'uses', ask, id }),
      answer => ('uses' in answer ? answer.uses : []),
    );
  }

  overrides(page: Id | null): Promise<readonly Override[]> {
    return this.ask(
      ask => ({ type: 'overrides', ask, page }),
      answer => ('overrides' in answer ? answer.overrides : []),
    );
  }

  plan(guide: GuideWish): Promise<GuideOffer> {
    return this.ask(
      ask => ({ type: 'plan', ask, guide }),
      answer => {
        if ('offer' in answer) return answer.offer;
        throw new Error('the worker answered something else');
      },
    );
  }

  /** What a change does, or did; null where that cannot be told any more, since somebody has gone on from it. */
  effect(edits: readonly Edit[], inverse: readonly Edit[]): Promise<Effect | null> {
    return this.ask(
      ask => ({ type: 'effect', ask, edits, inverse }),
      answer => ('effect' in answer ? answer.effect : null),
    );
  }

  /** What a change that is only shown will reach; null where it cannot be made. */
  forecast(edits: readonly Edit[]): Promise<Forecast | null> {
    return this.ask(
      ask => ({ type: 'forecast', ask, edits }),
      answer => ('forecast' in answer ? answer.forecast : null),
    );
  }

  /** What comes of each of some promotions; null for one that would change the thing itself. */
  promotions(
    id: Id,
    slots: readonly Slot[],
    to: readonly Promotion[],
  ): Promise<readonly (PromotionOutlook | null)[]> {
    return this.ask(
      ask => ({ type: 'promotions', ask, id, slots, to }),
      answer => ('promotions' in answer ? answer.promotions : []),
    );
  }

  impact(edits: readonly Edit[]): Promise<Result<Impact>> {
    return this.ask(
      ask => ({ type: 'impact', ask, edits }),
      (answer): Result<Impact> => {
        if ('impact' in answer) return { ok: true, value: answer.impact };
        if ('problem' in answer) return { ok: false, problem: answer.problem };
        throw new Error('the worker answered something else');
      },
    );
  }
}

const recordsOf = (site: Site, ids: Iterable<Id>): [Id, SiteRecord | null][] =>
  Array.from(ids, id => [id, getRecord(site, id) ?? null]);

const clients = new WeakMap<SiteSession, ReachClient>();
export function reachClientOf(session: SiteSession): ReachClient {
  const client = clients.get(session) ?? new ReachClient(session);
  clients.set(session, client);
  return client;
}
