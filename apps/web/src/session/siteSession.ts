import {
  applyChange,
  type Edit,
  getRecord,
  History,
  type Id,
  LIMITS,
  newId,
  type Result,
  type Right,
  SCHEMA,
  type Site,
  siteOf,
  stableText,
  targetOf,
  upgradeHistory,
} from '@cove/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { answer, server } from '../api/client.ts';
import { Arrivals } from './arrivals.ts';
import type { AwayReason } from './away.ts';
import { openChangeStream } from './changeStream.ts';
import { Draft } from './draft.ts';
import { type HistoryStore, NO_HISTORY } from './historyStore.ts';
import type { Loss } from './losses.ts';
import { LossReport } from './lossReport.ts';
import { forbidden, has, lacking, type Rights } from './mayMake.ts';
import { Others } from './others.ts';
import { NO_STORE, type PendingStore } from './pendingStore.ts';
import { Sender } from './sender.ts';
import type { Accepted, FromStream, MadeChange, Presence } from './streamMessages.ts';
import { broughtUp, type Waiting } from './waiting.ts';

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
  /** The last change that was made here, until it is taken back or another one follows. */
  made: MadeHere | null;
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

/** A change as it is made: while it is only shown, or once it is kept. */
export interface MadeHere {
  /** Counts them. */
  n: number;
  /** Words of the step; null while it is only shown. */
  label: string | null;
  edits: readonly Edit[];
  /** What takes it back, once it is kept. */
  inverse: readonly Edit[];
}

/** What is told after each step: the site, and the ids that it touched; null when anything may have changed. */
export type TouchListener = (site: Site, touched: ReadonlySet<Id> | null) => void;
export type Notice = (message: string, kind: 'info' | 'problem') => void;

export interface SessionOptions {
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

/**
 * A site as this browser sees it: what the server accepted, and on top of it what was made here and is on its way.
 * Every edit is applied at once, sent in order, and taken back with a word where the server refuses it.
 */
export class SiteSession {
  readonly store: StoreApi<SessionState>;
  private readonly draft: Draft;
  private readonly sender: Sender;
  private readonly arrivals = new Arrivals(() => void this.reload());
  private readonly losses = new LossReport(fresh =>
    this.store.setState(({ losses }) => ({ losses: [...losses, ...fresh] })),
  );
  /** What was last written to the browser's own store. */
  private saved: readonly Waiting[] | null = null;
  private preview: readonly Edit[] | null = null;
  /** Number of the last change seen when the preview began. */
  private previewBase = 0;
  private history = new History();
  private readonly listeners = new Set<TouchListener>();
  private readonly others: Others;
  private endStream: (() => void) | null = null;
  private closed = false;
  private readonly endings = new Set<() => void>();

  private constructor(
    readonly id: string,
    site: Site,
    private confirmedSeq: number,
    private readonly notice: Notice,
    private readonly options: Required<Omit<SessionOptions, 'rights'>>,
    private rights: Rights,
  ) {
    this.draft = new Draft(site);
    this.sender = new Sender(id, {
      waiting: () => this.draft.waiting,
      accepted: (change, seq, dropped) => {
        this.losses.dropped(change, dropped, this.site);
        this.receive({ ...change, seq });
      },
      refused: (change, why) => this.refuse(change, why),
      reached: away => this.store.setState({ away }),
      failed: () => this.publish(this.site, new Set()),
    });
    this.store = createStore<SessionState>(() => ({
      site,
      seq: this.confirmedSeq,
      sync: 'kept',
      away: null,
      waiting: 0,
      keptInBrowser: true,
      undoLabel: null,
      redoLabel: null,
      losses: [],
      unkept: [],
      made: null,
      people: [],
    }));
    this.others = new Others(options.tab, people => this.store.setState({ people }));
  }

  /** Opens a site as the server has it, with what this browser has not been able to send yet on top. */
  static async open(id: string, notice: Notice, options: SessionOptions = {}): Promise<SiteSession> {
    const { tab = newId(''), pending = NO_STORE, history = NO_HISTORY } = options;
    const { onMembers = () => {}, onReleases = () => {} } = options;
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
      options.rights ?? ALL,
    );
    if (kept && kept.seq <= seq) {
      const { history: then, unreadable } = upgradeHistory(kept.history, it =>
        getRecord(session.draft.confirmed, it),
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
      const waiting = broughtUp(change, it => getRecord(this.draft.site, it));
      this.draft.add(waiting);
      if (!this.isOwn(change)) this.history.noteOthers(waiting.edits);
    }
    this.publish(this.draft.site, left.length > 0 ? null : new Set());
    void this.sender.send();
  }

  private isOwn({ id }: { id: string }): boolean {
    return id.startsWith(`${this.options.tab}-`);
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
    else this.history.noteOthers(broughtUp(change, it => getRecord(this.draft.confirmed, it)).edits);
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
    this.sender.close();
    this.arrivals.stop();
    this.others.close();
    this.options.pending.close();
    this.options.history.close();
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

  /** Whether something is shown that is not kept, such as a colour on its way. */
  get isShowing(): boolean {
    return this.preview !== null;
  }

  /** The site without what is only shown: what stays if a drag is given up. */
  get kept(): Site {
    return this.preview ? this.draft.site : this.site;
  }

  onTouched(listener: TouchListener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Shows edits without keeping them, while something is dragged. Nothing is sent until `commit`. */
  show(edits: readonly Edit[] | null): void {
    const before = this.preview;
    // What was kept stays told of where there is nothing more to show.
    if (edits || this.store.getState().made?.label === null)
      this.note(edits && { label: null, edits, inverse: [] });
    if (!before) this.previewBase = this.confirmedSeq;
    const base = this.draft.site;
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
    const base = this.draft.site;
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
    this.note({ label, edits, inverse: applied.value.inverse });
    this.publish(applied.value.site, new Set([...touchedBy(shown ?? []), ...applied.value.after.keys()]));
    void this.sender.send();
    return { ok: true, value: applied.value.site };
  }

  private notedSoFar = 0;

  private note(made: Omit<MadeHere, 'n'> | null): void {
    this.store.setState({ made: made && { n: ++this.notedSoFar, ...made } });
  }

  /** Lets go of what is known of the last change. */
  forgetMade(): void {
    this.note(null);
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
    const change = { id: `${this.options.tab}-${newId('c')}`, base, schema: SCHEMA, edits };
    this.draft.add(change);
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
    this.turn('redo', 'Redone');
  }

  private turn(direction: 'undo' | 'redo', word: string): void {
    const step = this.history[direction].pop();
    if (!step) return;
    this.preview = null;
    this.note(null);
    const base = this.draft.site;
    const { edits, skipped } = this.history.applicable(step, id => getRecord(base, id));
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
    void this.sender.send();
  }

  /** Brings back what was lost, over what stands there now. */
  bringBack(loss: Loss): void {
    this.forgetLoss(loss);
    this.commit([loss.edit], 'Bring back what was overwritten');
  }

  forgetLoss(loss: Loss): void {
    this.store.setState(({ losses }) => ({ losses: losses.filter(it => it.n !== loss.n) }));
  }

  private publish(site: Site, touched: ReadonlySet<Id> | null): void {
    const { waiting } = this.draft;
    if (waiting !== this.saved) {
      this.saved = waiting;
      this.options.pending.save(waiting.map(it => it.asMade ?? it)).then(
        () => this.store.setState({ keptInBrowser: true }),
        () => this.store.setState({ keptInBrowser: false }),
      );
    }
    const undoLabel = this.history.undo.at(-1)?.label ?? null;
    const redoLabel = this.history.redo.at(-1)?.label ?? null;
    this.options.history.save(this.confirmedSeq, this.history);
    this.store.setState({
      site,
      seq: this.confirmedSeq,
      sync: waiting.length === 0 ? 'kept' : this.sender.isAway ? 'away' : 'sending',
      waiting: waiting.length,
      undoLabel,
      redoLabel,
    });
    if (touched === null || touched.size > 0) for (const listener of this.listeners) listener(site, touched);
  }

  /** Tries again at once what waits. */
  sendNow(): void {
    void this.sender.send();
  }

  /** Lets go of changes that are part of what was confirmed. */
  private landed(isIn: (change: Waiting) => boolean): void {
    const landed = new Set(this.draft.waiting.filter(isIn));
    this.draft.remove(it => landed.has(it));
    this.sender.settle(landed);
  }

  private refuse(change: Waiting, why: string): void {
    const site = this.site;
    this.draft.remove(it => it === change);
    this.history.forget(change.id);
    this.notice(why, 'problem');
    this.losses.refused(change, site);
    this.publish(this.draft.site, null);
  }

  /** Takes in an accepted change, in the order of numbers, whether it was made here or elsewhere. */
  private receive(accepted: Accepted): void {
    if (accepted.seq <= this.confirmedSeq) {
      this.settle(accepted.id);
      return;
    }
    this.arrivals.add(accepted, this.confirmedSeq);
    this.takeIn();
  }

  /** Applies what has come in, as far as there is no gap. */
  private takeIn(): void {
    for (
      let next = this.arrivals.after(this.confirmedSeq);
      next;
      next = this.arrivals.after(this.confirmedSeq)
    ) {
      this.confirmedSeq = next.seq;
      const applied = applyChange(this.draft.confirmed, next);
      if (!applied.ok) {
        void this.reload();
        return;
      }
      const { site, after } = applied.value;
      const waited = this.draft.has(next.id);
      this.draft.confirm(site, next.id);
      if (waited || this.isOwn(next)) this.losses.ownTaken(next);
      if (waited) {
        // The stream can be faster than the answer: what it tells of us has arrived.
        this.sender.isBack();
        this.sender.settle([next]);
        this.publishDraft(new Set());
        continue;
      }
      if (!this.isOwn(next)) {
        this.history.noteOthers(next.edits);
        this.losses.othersTaken(next, this.site, after, this.draft.waiting);
      }
      this.publishDraft(new Set(after.keys()));
    }
  }

  private settle(id: string): void {
    if (!this.draft.has(id)) return;
    this.landed(change => change.id === id);
    this.publishDraft(new Set());
  }

  private publishDraft(touched: ReadonlySet<Id>): void {
    const base = this.draft.site;
    const shown = this.preview && applyChange(base, { edits: this.preview });
    this.publish(shown?.ok ? shown.value.site : base, touched);
  }

  /** Reads the site anew; where that fails, again after a while. */
  private async reload(): Promise<void> {
    this.arrivals.stop();
    if (this.closed) return;
    try {
      const { seq, records } = await answer(
        server.GET('/api/sites/{site}', { params: { path: { site: this.id } } }),
      );
      await this.hearSince(this.confirmedSeq, seq);
      if (this.closed || seq < this.confirmedSeq) return;
      this.draft.rebase(siteOf(records));
      this.confirmedSeq = seq;
      this.arrivals.forgetUpTo(seq);
      this.landed(change => (this.sender.numberOf(change) ?? Number.POSITIVE_INFINITY) <= seq);
      this.publish(this.draft.site, null);
      this.takeIn();
    } catch {
      if (!this.closed) this.arrivals.loseLater();
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
        this.options.onMembers();
        break;
      case 'reset':
        void this.reload();
        break;
      case 'renewed':
        this.store.setState({ away: 'renewed' });
        break;
      case 'releases':
        this.options.onReleases();
        break;
      case 'open':
        this.options.onReleases();
        if (this.sender.isAway) void this.sender.send();
    }
  }

  get tab(): string {
    return this.options.tab;
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
  return stableText(now) !== stableText(edit.value);
}

const touchedBy = (edits: readonly Edit[]): Set<Id> => new Set(edits.map(targetOf));
