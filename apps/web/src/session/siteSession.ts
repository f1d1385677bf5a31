import {
  applyChange,
  type Edit,
  FIRST_SCHEMA,
  type FindRecord,
  getRecord,
  History,
  type Id,
  LIMITS,
  newId,
  type Result,
  type Right,
  readEdits,
  SCHEMA,
  type Site,
  siteOf,
  stableText,
  targetOf,
  upgradeEdits,
  upgradeHistory,
} from '@cove/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { answer, server } from '../api/client.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import { type AwayReason, awayReason } from './away.ts';
import { openChangeStream } from './changeStream.ts';
import { type HistoryStore, NO_HISTORY } from './historyStore.ts';
import { type Loss, LossWatch, wordsOf } from './losses.ts';
import { forbidden, has, lacking, type Rights } from './mayMake.ts';
import { Others } from './others.ts';
import { NO_STORE, type PendingStore } from './pendingStore.ts';
import type { Accepted, FromStream, MadeChange, Presence } from './streamMessages.ts';

/** Where the edits made here are: on the server, on their way, or waiting for it to come back. */
export type SyncState = 'kept' | 'sending' | 'away';

export interface SessionState {
  site: Site;
  seq: number;
  sync: SyncState;
  away: AwayReason | null;
  waiting: number;
  /** Whether what waits would outlive this tab. */
  keptInBrowser: boolean;
  undoLabel: string | null;
  redoLabel: string | null;
  /** What was made here and no longer stands, until it is read. */
  losses: readonly Loss[];
  /** What was typed into a field that went away before it could be kept, until it is read. */
  unkept: readonly Unkept[];
  /** Others at the site. */
  people: readonly Presence[];
}

/** Words that were typed and could not be kept. */
export interface Unkept {
  n: number;
  /** The field they were typed into. */
  label: string;
  words: string;
}

/** What is told after each step: the site, and the ids that it touched; null when anything may have changed. */
export type TouchListener = (site: Site, touched: ReadonlySet<Id> | null) => void;
export type Notice = (message: string, kind: 'info' | 'problem') => void;

export interface Around {
  /** Name of the tab; the ids of its changes begin with it. */
  tab?: string;
  pending?: PendingStore;
  history?: HistoryStore;
  rights?: Rights;
  /** Told when who may do what has changed. */
  onMembers?(): void;
  /** Told when a release has come further, and when that may have been missed. */
  onReleases?(): void;
}

const ALL: Rights = { role: 'designer', keeperMay: 'content' };
/** Changes made while a tab was closed, beyond which it forgets what it could undo rather than read them all. */
const MOST_TO_READ = 5000;
const PAGE = 500;

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
  private pending: Waiting[] = [];
  private ahead = new Map<number, Accepted>();
  /** What was last written to the browser's own store. */
  private saved: readonly Waiting[] | null = null;
  private preview: readonly Edit[] | null = null;
  /** Number of the last change seen when the preview began. */
  private previewBase = 0;
  private history = new History();
  private readonly watch = new LossWatch();
  /** Edits that were told to be lost already. */
  private readonly told = new Set<Edit>();
  /** Numbers of edits that met nothing, for changes whose answer came before their turn. */
  private readonly droppedOf = new Map<string, ReadonlySet<number>>();
  /** Numbers of changes that the server has accepted and whose turn has not come, since earlier ones are missing. */
  private readonly answered = new Map<string, number>();
  private readonly listeners = new Set<TouchListener>();
  private readonly others: Others;
  private sending = false;
  private failures = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private gap: ReturnType<typeof setTimeout> | undefined;
  private endStream: (() => void) | null = null;
  private closed = false;
  private readonly endings = new Set<() => void>();

  private constructor(
    readonly id: string,
    site: Site,
    seq: number,
    private readonly notice: Notice,
    private readonly around: Required<Omit<Around, 'rights'>>,
    private rights: Rights,
  ) {
    this.confirmed = site;
    this.confirmedSeq = seq;
    this.store = createStore<SessionState>(() => ({
      site,
      seq,
      sync: 'kept',
      away: null,
      waiting: 0,
      keptInBrowser: true,
      undoLabel: null,
      redoLabel: null,
      losses: [],
      unkept: [],
      people: [],
    }));
    this.others = new Others(around.tab, people => this.store.setState({ people }));
  }

  /** Opens a site as the server has it, with what this browser has not been able to send yet on top. */
  static async open(id: string, notice: Notice, around: Around = {}): Promise<SiteSession> {
    const { tab = newId(''), pending = NO_STORE, history = NO_HISTORY } = around;
    const { onMembers = () => {}, onReleases = () => {} } = around;
    const [{ seq, records }, left, kept] = await Promise.all([
      answer(server.GET('/api/sites/{site}', { params: { path: { site: id } } })),
      pending.load(),
      history.load(),
    ]);
    const session = new SiteSession(
      id,
      siteOf(records),
      seq,
      notice,
      { tab, pending, history, onMembers, onReleases },
      around.rights ?? ALL,
    );
    if (kept && kept.seq <= seq) {
      const { history: then, unreadable } = upgradeHistory(kept.history, it =>
        getRecord(session.confirmed, it),
      );
      session.history = new History(then);
      for (const label of unreadable)
        notice(`“${label}” can no longer be undone: an earlier version of the program made it.`, 'info');
      await session.hearSince(kept.seq, seq);
    }
    session.resume(left);
    session.listen();
    return session;
  }

  private resume(left: readonly MadeChange[]): void {
    for (const change of left) {
      this.pending.push(broughtUp(change, it => getRecord(this.draft(), it)));
      if (!this.isOwn(change)) this.history.heard(this.pending.at(-1)?.edits ?? []);
    }
    this.publish(this.draft(), left.length > 0 ? null : new Set());
    void this.send();
  }

  private isOwn({ id }: { id: string }): boolean {
    return id.startsWith(`${this.around.tab}-`);
  }

  /** Reads what others did between two numbers, so that no undo takes it back. */
  private async hearSince(after: number, upTo: number): Promise<void> {
    if (this.history.undo.length + this.history.redo.length === 0) return;
    if (upTo - after > MOST_TO_READ) {
      this.history = new History();
      return;
    }
    for (let at = after; at < upTo; ) {
      const params = { path: { site: this.id }, query: { after: at, limit: PAGE } };
      const changes = await answer(server.GET('/api/sites/{site}/changes', { params }));
      for (const change of changes) this.hearEarlier(change);
      const last = changes.at(-1);
      if (!last) return;
      at = last.seq;
    }
  }

  /** Takes note of one of the changes that were made while nobody listened. */
  private hearEarlier(change: Accepted): void {
    // What the program did to all paths alike was done to the steps as well.
    if (change.resets === 'upgrade' || this.isOwn(change)) return;
    if (change.resets === 'restore') this.history = new History();
    else this.history.heard(broughtUp(change, it => getRecord(this.confirmed, it)).edits);
  }

  setRights(rights: Rights): void {
    this.rights = rights;
  }

  /** Whether this person may make edits that need a right. */
  may(right: Right): boolean {
    return has(this.rights, right);
  }

  /** Whether this person may make these edits. */
  mayMake(edits: readonly Edit[]): boolean {
    return lacking(this.rights, edits, this.site) === undefined;
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.timer);
    clearTimeout(this.gap);
    this.others.close();
    this.around.pending.close();
    this.around.history.close();
    this.endStream?.();
    for (const end of this.endings) end();
  }

  /** Calls `end` when it is closed, for what works for it. */
  onClose(end: () => void): void {
    this.endings.add(end);
  }

  get site(): Site {
    return this.store.getState().site;
  }

  /** The site without what is only shown: what stays if a drag is given up. */
  get kept(): Site {
    return this.preview ? this.draft() : this.site;
  }

  onTouched(listener: TouchListener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Shows edits without keeping them, while something is dragged. Nothing is sent until `commit`. */
  show(edits: readonly Edit[] | null): void {
    const before = this.preview;
    if (!before) this.previewBase = this.confirmedSeq;
    const base = this.draft();
    this.preview = edits && lacking(this.rights, edits, base) === undefined ? edits : null;
    const applied = this.preview ? applyChange(base, { edits: this.preview }) : null;
    this.publish(applied?.ok ? applied.value.site : base, touchedBy([...(before ?? []), ...(edits ?? [])]));
  }

  /**
   * Makes edits: at once here, then on the server. Says why not where an invariant or a missing right forbids it. `since` is
   * the number of the last change that was seen when the work on them began, where that took a while.
   */
  commit(wanted: readonly Edit[], label: string, since?: number): Result<Site> {
    const shown = this.preview;
    this.preview = null;
    const base = this.draft();
    const edits = wanted.filter(edit => altersSomething(base, edit));
    if (edits.length === 0) {
      if (shown) this.publish(base, touchedBy(shown));
      return { ok: true, value: base };
    }
    const lacks = lacking(this.rights, edits, base);
    const applied = lacks === undefined ? applyChange(base, { edits }, LIMITS.change) : forbidden(lacks);
    if (!applied.ok) {
      this.publish(base, touchedBy(shown ?? []));
      this.notice(applied.problem.message, 'problem');
      return applied;
    }
    const seen = since ?? this.seenAt ?? (shown ? this.previewBase : this.confirmedSeq);
    const change = this.newChange(edits, seen);
    this.history.made(change.id, applied.value.inverse, label);
    this.publish(applied.value.site, new Set([...touchedBy(shown ?? []), ...applied.value.after.keys()]));
    void this.send();
    return { ok: true, value: applied.value.site };
  }

  /** The number of the last change that was seen when what is committed now was begun; null where that is the last one. */
  private seenAt: number | null = null;

  /** Runs an act whose commits were begun when `seq` was the last change seen. */
  asSeenAt(seq: number, act: () => void): void {
    this.seenAt = seq;
    try {
      act();
    } finally {
      this.seenAt = null;
    }
  }

  /** Offers back what was typed into a field that is gone. */
  offer(label: string, words: string): void {
    if (words.trim() === '' || this.closed) return;
    this.store.setState(({ unkept }) => ({
      unkept: [...unkept, { n: ++this.offered, label, words }],
    }));
  }

  forgetUnkept(n: number): void {
    this.store.setState(({ unkept }) => ({ unkept: unkept.filter(it => it.n !== n) }));
  }

  private offered = 0;

  private newChange(edits: readonly Edit[], base: number): Waiting {
    const change = { id: `${this.around.tab}-${newId('c')}`, base, schema: SCHEMA, edits };
    this.pending.push(change);
    return change;
  }

  /** Waits until the server has all that was made here, for what it is to work out itself. Fails where it stays away. */
  settled(within = 8000): Promise<void> {
    if (this.store.getState().waiting === 0) return Promise.resolve();
    return new Promise((resolve, reject) => {
      const end = setTimeout(() => {
        stop();
        reject(new Error('What was made here has not reached the server yet. Try again when all is kept.'));
      }, within);
      const stop = this.store.subscribe(({ waiting }) => {
        if (waiting > 0) return;
        clearTimeout(end);
        stop();
        resolve();
      });
    });
  }

  undo(): void {
    this.turn('undo', 'Undone');
  }

  redo(): void {
    this.turn('redo', 'Done again');
  }

  private turn(direction: 'undo' | 'redo', word: string): void {
    const step = this.history[direction].pop();
    if (!step) return;
    this.preview = null;
    const base = this.draft();
    const { edits, skipped } = this.history.possible(step, id => getRecord(base, id));
    const lacks = lacking(this.rights, edits, base);
    const applied = lacks === undefined ? applyChange(base, { edits }) : forbidden(lacks);
    if (!applied.ok || edits.length === 0) {
      this.notice(
        applied.ok ? 'Others have changed this since; it stays as it is.' : applied.problem.message,
        'problem',
      );
      this.publish(base, new Set());
      return;
    }
    const change = this.newChange(edits, this.confirmedSeq);
    this.history.turned(direction, step, change.id, applied.value.inverse);
    this.publish(applied.value.site, new Set(applied.value.after.keys()));
    this.notice(
      `${word}: ${step.label}${skipped > 0 ? `. ${skipped} part${skipped > 1 ? 's' : ''} stayed, since others changed them` : ''}`,
      'info',
    );
    void this.send();
  }

  /** Brings back what was lost, over what stands there now. */
  bringBack(loss: Loss): void {
    this.forgetLoss(loss);
    this.commit([loss.edit], 'Bring back what was overwritten');
  }

  forgetLoss(loss: Loss): void {
    this.store.setState(({ losses }) => ({ losses: losses.filter(it => it.n !== loss.n) }));
  }

  private tellLosses(losses: readonly Loss[]): void {
    const fresh = losses.filter(({ edit }) => !this.told.has(edit));
    for (const { edit } of fresh) this.told.add(edit);
    if (fresh.length > 0) this.store.setState(state => ({ losses: [...state.losses, ...fresh] }));
  }

  /** What the server has, with what waits applied on top. */
  private draft(): Site {
    return this.applyAll(this.confirmed);
  }

  /** The change that the server failed at last, and how often. */
  private failed: { id: string; times: number } | null = null;

  private draftCache: { confirmed: Site; count: number; last: Waiting | undefined; site: Site } | null = null;

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
      this.around.pending.save(this.saved.map(it => it.asMade ?? it)).then(
        () => this.store.setState({ keptInBrowser: true }),
        () => this.store.setState({ keptInBrowser: false }),
      );
    }
    const undoLabel = this.history.undo.at(-1)?.label ?? null;
    const redoLabel = this.history.redo.at(-1)?.label ?? null;
    this.around.history.save(this.confirmedSeq, this.history);
    this.store.setState({
      site,
      seq: this.confirmedSeq,
      sync: this.pending.length === 0 ? 'kept' : this.failures > 0 ? 'away' : 'sending',
      waiting: this.pending.length,
      undoLabel,
      redoLabel,
    });
    if (touched === null || touched.size > 0) for (const listener of this.listeners) listener(site, touched);
  }

  /** Tries again at once what waits. */
  sendNow(): void {
    void this.send();
  }

  private async send(): Promise<void> {
    if (this.sending || this.closed) return;
    const change = this.unsent();
    if (!change) return;
    clearTimeout(this.timer);
    this.sending = true;
    try {
      const { seq, dropped } = await answer(
        server.POST('/api/sites/{site}/changes', {
          params: { path: { site: this.id } },
          body: change.asMade ?? change,
        }),
      );
      this.failures = 0;
      this.store.setState({ away: null });
      this.answered.set(change.id, seq);
      this.tellDropped(change, dropped);
      this.receive({ ...change, seq }, new Set(dropped));
    } catch (error) {
      const away = awayReason(error);
      if (error instanceof RequestProblem && away === null)
        this.refuse(change, `Taken back: ${error.problem.message}`);
      else if (error instanceof RequestProblem && this.failsAgain(change, error))
        this.refuse(
          change,
          `Set aside: the server failed at this change ${MOST_FAILURES} times${error.request ? ` (request ${error.request})` : ''}. What came after it goes on.`,
        );
      else {
        this.failures++;
        this.store.setState({ away });
        this.publish(this.site, new Set());
        this.timer = setTimeout(() => void this.send(), RETRY[Math.min(this.failures, RETRY.length) - 1]);
      }
    } finally {
      this.sending = false;
    }
    if (this.failures === 0) void this.send();
  }

  /** Whether the server has failed at a change so often that there is no use in sending it again: then others go on. */
  private failsAgain({ id }: Waiting, { status, problem }: RequestProblem): boolean {
    if (status !== 500 && problem.code !== 'too-slow') return false;
    const failed = this.failed?.id === id ? this.failed.times + 1 : 1;
    this.failed = { id, times: failed };
    return failed >= MOST_FAILURES;
  }

  private unsent(): Waiting | undefined {
    return this.pending.find(change => !this.answered.has(change.id));
  }

  /** Lets go of changes that are part of what was confirmed. */
  private landed(isIn: (change: Waiting) => boolean): void {
    const rest = this.pending.filter(change => !isIn(change));
    for (const change of this.pending) if (!rest.includes(change)) this.answered.delete(change.id);
    this.pending = rest;
  }

  /** What an edit was for had been removed by the time it came. */
  private tellDropped(change: Waiting, dropped: readonly number[]): void {
    const site = this.site;
    this.tellLosses(
      dropped.flatMap(i => {
        const edit = change.edits[i];
        return edit?.op === 'set' && getRecord(site, edit.id)
          ? [this.watch.loss('removed', '', edit, site)]
          : [];
      }),
    );
  }

  private refuse(change: Waiting, why: string): void {
    // A refusal is an answer: the server is there.
    this.failures = 0;
    this.store.setState({ away: null });
    const site = this.site;
    this.pending = this.pending.filter(it => it !== change);
    this.history.forget(change.id);
    this.notice(why, 'problem');
    this.tellLosses(
      change.edits.flatMap(edit =>
        edit.op === 'set' && wordsOf(edit) !== null ? [this.watch.loss('refused', '', edit, site)] : [],
      ),
    );
    this.publish(this.applyAll(this.confirmed), null);
  }

  /** Takes in an accepted change, in the order of numbers, whether it was made here or elsewhere. */
  private receive(accepted: Accepted, dropped: ReadonlySet<number> = NONE): void {
    if (dropped.size > 0) this.droppedOf.set(accepted.id, dropped);
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
      if (own || this.isOwn(next)) {
        this.watch.accepted(next, this.droppedOf.get(id) ?? NONE);
        this.droppedOf.delete(id);
      }
      if (own) {
        // The stream can be faster than the answer: what it tells of us has arrived.
        this.failures = 0;
        this.landed(change => change.id === id);
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
        if (!this.isOwn(next)) {
          this.history.heard(next.edits);
          this.tellLosses(this.watch.heard(next, this.site, applied.value.after, this.pending));
        }
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
    this.landed(change => change.id === id);
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
      const { seq, records } = await answer(
        server.GET('/api/sites/{site}', { params: { path: { site: this.id } } }),
      );
      await this.hearSince(this.confirmedSeq, seq);
      if (this.closed || seq < this.confirmedSeq) return;
      this.confirmed = siteOf(records);
      this.confirmedSeq = seq;
      for (const ahead of this.ahead.keys()) if (ahead <= seq) this.ahead.delete(ahead);
      this.landed(change => (this.answered.get(change.id) ?? Number.POSITIVE_INFINITY) <= seq);
      this.publish(this.applyAll(this.confirmed), null);
      this.takeIn();
    } catch {
      if (!this.closed) this.gap = setTimeout(() => void this.reload(), GAP);
    }
  }

  private listen(): void {
    this.endStream = openChangeStream(this.id, this.confirmedSeq, message => {
      if (!this.closed) this.hear(message);
    });
  }

  private hear(message: FromStream): void {
    switch (message.type) {
      case 'change':
        this.receive(message.change);
        break;
      case 'presence':
        this.others.meet(message.people);
        break;
      case 'members':
      case 'gone':
        this.around.onMembers();
        break;
      case 'reset':
        void this.reload();
        break;
      case 'renewed':
        this.store.setState({ away: 'renewed' });
        break;
      case 'releases':
        this.around.onReleases();
        break;
      case 'open':
        this.around.onReleases();
        if (this.failures > 0) void this.send();
    }
  }

  get tab(): string {
    return this.around.tab;
  }
}

/** A change that waits. One that was made under an earlier schema is kept and sent as it was made: so the server knows it again. */
interface Waiting extends MadeChange {
  asMade?: MadeChange;
}

/** A change under the schema of now, and as it was made. One that cannot be read alters nothing here; the server has the word. */
function broughtUp(change: MadeChange, find: FindRecord): Waiting {
  const { schema = FIRST_SCHEMA } = change;
  if (schema === SCHEMA) return change;
  const edits = readEdits(upgradeEdits(change.edits, schema, find), LIMITS.computedChange.edits);
  return { ...change, schema: SCHEMA, edits: edits.ok ? edits.value : [], asMade: { ...change, schema } };
}

/** How often a change that the server fails at is sent before it is set aside. */
const MOST_FAILURES = 3;

const NONE: ReadonlySet<number> = new Set();

/** False for setting a path to what it is already. */
function altersSomething(site: Site, edit: Edit): boolean {
  if (edit.op !== 'set') return true;
  const [field, key] = edit.path;
  const record = getRecord(site, edit.id);
  const whole: unknown = record && Reflect.get(record, field);
  const now: unknown =
    key === undefined || typeof whole !== 'object' || whole === null ? whole : Reflect.get(whole, key);
  return stableText(now) !== stableText(edit.value);
}

const touchedBy = (edits: readonly Edit[]): Set<Id> => new Set(edits.map(targetOf));
