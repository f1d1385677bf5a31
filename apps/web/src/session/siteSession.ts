import {
  applyChange,
  type Change,
  type Edit,
  getRecord,
  type Id,
  newId,
  type Problem,
  type Result,
  type Site,
  type SiteRecord,
  siteOf,
  Writers,
} from '@cove/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { RequestProblem, request } from '../api/request.ts';
import { openChangeStream } from './changeStream.ts';
import { NO_STORE, type PendingStore } from './pendingStore.ts';
import type { Accepted } from './streamMessages.ts';

/** Where the edits made here are: on the server, on their way, or waiting for it to come back. */
export type SyncState = 'kept' | 'sending' | 'away';

export interface SessionState {
  site: Site;
  seq: number;
  sync: SyncState;
  waiting: number;
  undoLabel: string | null;
  redoLabel: string | null;
}

interface Past {
  change: string;
  inverse: readonly Edit[];
  label: string;
}

/** What is told after each step: the site, and the ids that it touched; null when anything may have changed. */
export type TouchListener = (site: Site, touched: ReadonlySet<Id> | null) => void;
export type Notice = (message: string, kind: 'info' | 'problem') => void;

/** How long, in ms, a missing change is waited for. */
const GAP = 1500;
const RETRY = [500, 1000, 2000, 5000];

/**
 * A site as this browser sees it: what the server accepted, and on top of it what was made here and is on its way.
 * Every edit is applied at once, sent in order, and taken back with a word where the server refuses it.
 */
export class SiteSession {
  readonly store: StoreApi<SessionState>;
  private confirmed: Site;
  private confirmedSeq: number;
  private pending: Change[] = [];
  private ahead = new Map<number, Accepted>();
  /** What was last written to the browser's own store. */
  private saved: readonly Change[] | null = null;
  private preview: readonly Edit[] | null = null;
  private readonly undoStack: Past[] = [];
  private redoStack: Past[] = [];
  private readonly writers = new Writers();
  private readonly listeners = new Set<TouchListener>();
  private sending = false;
  private failures = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private gap: ReturnType<typeof setTimeout> | undefined;
  private endStream: (() => void) | null = null;
  private closed = false;

  private constructor(
    readonly id: string,
    site: Site,
    seq: number,
    private readonly notice: Notice,
    private readonly kept: PendingStore,
  ) {
    this.confirmed = site;
    this.confirmedSeq = seq;
    this.store = createStore<SessionState>(() => ({
      site,
      seq,
      sync: 'kept',
      waiting: 0,
      undoLabel: null,
      redoLabel: null,
    }));
  }

  /** Opens a site as the server has it, with what this browser has not been able to send yet on top. */
  static async open(id: string, notice: Notice, store: PendingStore = NO_STORE): Promise<SiteSession> {
    const [{ seq, records }, pending] = await Promise.all([
      request<{ seq: number; records: SiteRecord[] }>('GET', `/api/sites/${id}`),
      store.load(),
    ]);
    const session = new SiteSession(id, siteOf(records), seq, notice, store);
    session.resume(pending);
    session.listen();
    return session;
  }

  private resume(pending: readonly Change[]): void {
    if (pending.length === 0) return;
    this.pending = [...pending];
    for (const change of pending) this.writers.note(change);
    this.publish(this.draft(), null);
    void this.send();
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.timer);
    clearTimeout(this.gap);
    this.endStream?.();
  }

  get site(): Site {
    return this.store.getState().site;
  }

  onTouched(listener: TouchListener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Shows edits without keeping them, while something is dragged. Nothing is sent until `commit`. */
  show(edits: readonly Edit[] | null): void {
    const before = this.preview;
    this.preview = edits;
    const base = this.draft();
    const applied = edits ? applyChange(base, { edits }) : null;
    this.publish(applied?.ok ? applied.value.site : base, touchedBy([...(before ?? []), ...(edits ?? [])]));
  }

  /** Makes edits: at once here, then on the server. Says why not where an invariant forbids it. */
  commit(wanted: readonly Edit[], label: string): Result<Site> {
    const shown = this.preview;
    this.preview = null;
    const base = this.draft();
    const edits = wanted.filter(edit => altersSomething(base, edit));
    if (edits.length === 0) {
      if (shown) this.publish(base, touchedBy(shown));
      return { ok: true, value: base };
    }
    const applied = applyChange(base, { edits });
    if (!applied.ok) {
      this.publish(base, touchedBy(shown ?? []));
      this.notice(applied.problem.message, 'problem');
      return applied;
    }
    const change: Change = { id: newId('c'), edits };
    this.pending.push(change);
    this.writers.note(change);
    this.undoStack.push({ change: change.id, inverse: applied.value.inverse, label });
    this.redoStack = [];
    this.publish(applied.value.site, new Set([...touchedBy(shown ?? []), ...applied.value.after.keys()]));
    void this.send();
    return { ok: true, value: applied.value.site };
  }

  undo(): void {
    this.step(this.undoStack, this.redoStack, 'Undone');
  }

  redo(): void {
    this.step(this.redoStack, this.undoStack, 'Done again');
  }

  private step(from: Past[], to: Past[], word: string): void {
    const past = from.pop();
    if (!past) return;
    this.preview = null;
    const base = this.draft();
    const { edits, skipped } = this.writers.undoable(past.inverse, past.change, id => getRecord(base, id));
    const applied = applyChange(base, { edits });
    if (!applied.ok || edits.length === 0) {
      this.notice(
        applied.ok ? 'Others have changed this since; it stays as it is.' : applied.problem.message,
        'problem',
      );
      this.publish(base, new Set());
      return;
    }
    const change: Change = { id: newId('c'), edits };
    this.pending.push(change);
    this.writers.note(change, past.change);
    to.push({ change: change.id, inverse: applied.value.inverse, label: past.label });
    this.publish(applied.value.site, new Set(applied.value.after.keys()));
    this.notice(
      `${word}: ${past.label}${skipped > 0 ? `. ${skipped} part${skipped > 1 ? 's' : ''} stayed, since others changed them` : ''}`,
      'info',
    );
    void this.send();
  }

  /** What the server has, with what waits applied on top. */
  private draft(): Site {
    return this.applyAll(this.confirmed);
  }

  private draftCache: { confirmed: Site; count: number; last: Change | undefined; site: Site } | null = null;

  private applyAll(base: Site): Site {
    const last = this.pending.at(-1);
    const known = this.draftCache;
    if (known && known.confirmed === base && known.count === this.pending.length && known.last === last)
      return known.site;
    let site = base;
    if (
      known &&
      known.confirmed === base &&
      known.count === this.pending.length - 1 &&
      this.pending.at(-2) === known.last &&
      last
    ) {
      const applied = applyChange(known.site, last);
      site = applied.ok ? applied.value.site : known.site;
    } else {
      for (const change of this.pending) {
        const applied = applyChange(site, change);
        if (applied.ok) site = applied.value.site;
      }
    }
    this.draftCache = { confirmed: base, count: this.pending.length, last, site };
    return site;
  }

  private publish(site: Site, touched: ReadonlySet<Id> | null): void {
    if (this.pending.at(-1) !== this.saved?.at(-1) || this.pending.length !== this.saved?.length) {
      this.saved = this.pending.slice();
      this.kept.save(this.saved);
    }
    this.store.setState({
      site,
      seq: this.confirmedSeq,
      sync: this.pending.length === 0 ? 'kept' : this.failures > 0 ? 'away' : 'sending',
      waiting: this.pending.length,
      undoLabel: this.undoStack.at(-1)?.label ?? null,
      redoLabel: this.redoStack.at(-1)?.label ?? null,
    });
    if (touched === null || touched.size > 0) for (const listener of this.listeners) listener(site, touched);
  }

  private async send(): Promise<void> {
    if (this.sending || this.closed) return;
    const change = this.pending[0];
    if (!change) return;
    this.sending = true;
    try {
      const { seq } = await request<{ seq: number }>('POST', `/api/sites/${this.id}/changes`, change);
      this.failures = 0;
      this.receive({ ...change, seq });
    } catch (error) {
      if (error instanceof RequestProblem && error.status < 500 && error.status !== 401)
        this.refuse(change, error.problem);
      else {
        this.failures++;
        this.publish(this.site, new Set());
        this.timer = setTimeout(() => void this.send(), RETRY[Math.min(this.failures, RETRY.length) - 1]);
        if (error instanceof RequestProblem && error.status === 401)
          this.notice('You are signed out. What you made is kept here until you sign in again.', 'problem');
      }
    } finally {
      this.sending = false;
    }
    if (this.failures === 0 && this.pending.length > 0) void this.send();
  }

  private refuse(change: Change, problem: Problem): void {
    // A refusal is an answer: the server is there.
    this.failures = 0;
    this.pending = this.pending.filter(it => it !== change);
    const index = this.undoStack.findIndex(past => past.change === change.id);
    if (index >= 0) this.undoStack.splice(index, 1);
    this.notice(`Taken back: ${problem.message}`, 'problem');
    this.publish(this.applyAll(this.confirmed), null);
  }

  /** Takes in an accepted change, in the order of numbers, whether it was made here or elsewhere. */
  private receive(accepted: Accepted): void {
    if (accepted.seq <= this.confirmedSeq) {
      this.settle(accepted.id);
      return;
    }
    this.ahead.set(accepted.seq, accepted);
    if (accepted.seq > this.confirmedSeq + 1) this.waitForGap();
    this.takeIn();
  }

  /** Applies what has come in, as far as there is no gap. */
  private takeIn(): void {
    for (
      let next = this.ahead.get(this.confirmedSeq + 1);
      next;
      next = this.ahead.get(this.confirmedSeq + 1)
    ) {
      this.ahead.delete(next.seq);
      this.confirmedSeq = next.seq;
      const { id } = next;
      const own = this.pending.some(change => change.id === id);
      const applied = applyChange(this.confirmed, next);
      if (!applied.ok) {
        void this.reload();
        return;
      }
      const first = this.pending[0];
      const draft = this.draftCache;
      this.confirmed = applied.value.site;
      if (own) {
        // The stream can be faster than the answer: what it tells of us has arrived.
        this.failures = 0;
        this.pending = this.pending.filter(change => change.id !== id);
        // Taking our own first change into the confirmed site leaves the draft as it is.
        if (first?.id === id && draft && draft.count === this.pending.length + 1)
          this.draftCache = {
            confirmed: this.confirmed,
            count: this.pending.length,
            last: this.pending.at(-1),
            site: draft.site,
          };
        this.publishDraft(new Set());
      } else {
        this.writers.note(next);
        this.publishDraft(new Set(applied.value.after.keys()));
      }
    }
  }

  /** Changes between may be on their way; where they do not come, the site is read anew. */
  private waitForGap(): void {
    clearTimeout(this.gap);
    this.gap = setTimeout(() => {
      if (this.ahead.size > 0 && !this.closed) void this.reload();
    }, GAP);
  }

  private settle(id: string): void {
    if (!this.pending.some(change => change.id === id)) return;
    this.pending = this.pending.filter(change => change.id !== id);
    this.publishDraft(new Set());
  }

  private publishDraft(touched: ReadonlySet<Id>): void {
    const base = this.draft();
    const shown = this.preview && applyChange(base, { edits: this.preview });
    this.publish(shown?.ok ? shown.value.site : base, touched);
  }

  /** Reads the site anew; where that fails, again after a while. */
  private async reload(): Promise<void> {
    clearTimeout(this.gap);
    try {
      const { seq, records } = await request<{ seq: number; records: SiteRecord[] }>(
        'GET',
        `/api/sites/${this.id}`,
      );
      if (this.closed || seq < this.confirmedSeq) return;
      this.confirmed = siteOf(records);
      this.confirmedSeq = seq;
      for (const ahead of this.ahead.keys()) if (ahead <= seq) this.ahead.delete(ahead);
      this.publish(this.applyAll(this.confirmed), null);
      this.takeIn();
    } catch {
      if (!this.closed) this.gap = setTimeout(() => void this.reload(), GAP);
    }
  }

  private listen(): void {
    this.endStream = openChangeStream(this.id, this.confirmedSeq, message => {
      if (this.closed) return;
      if (message.type === 'change') this.receive(message.change);
      else if (message.type === 'reset') void this.reload();
      else if (this.failures > 0) void this.send();
    });
  }
}

/** False for setting a path to what it is already. */
function altersSomething(site: Site, edit: Edit): boolean {
  if (edit.op !== 'set') return true;
  const [field, key] = edit.path;
  const record = getRecord(site, edit.id);
  const whole: unknown = record && Reflect.get(record, field);
  const now: unknown =
    key === undefined || typeof whole !== 'object' || whole === null ? whole : Reflect.get(whole, key);
  return JSON.stringify(now) !== JSON.stringify(edit.value);
}

const touchedBy = (edits: readonly Edit[]): Set<Id> =>
  new Set(edits.map(edit => (edit.op === 'put' ? edit.record.id : edit.id)));
