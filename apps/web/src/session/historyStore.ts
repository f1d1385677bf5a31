import { type History, type HistoryStep, SCHEMA, type StoredHistory, type StoredStep } from '@cove/core';
import { createStore, delMany, entries, get, getMany, setMany, type UseStore } from 'idb-keyval';

/** A history, and the number of the last change that was heard when it was kept. */
export interface KeptAt {
  seq: number;
  history: StoredHistory;
}

/** Keeps what can be undone over a reload. */
export interface HistoryStore {
  load(): Promise<KeptAt | null>;
  save(seq: number, history: History): void;
  /** Nothing more will be kept. */
  close(): void;
}

export const NO_HISTORY: HistoryStore = { load: async () => null, save: () => {}, close: () => {} };

/** Everything but the steps, which are kept one by one, so that keeping one more costs no more than that one. */
interface HistoryHeader extends Omit<StoredHistory, 'undo' | 'redo'> {
  /** In ms. */
  at: number;
  seq: number;
  undo: readonly number[];
  redo: readonly number[];
}

/** What was not in the database yet when the page was left. */
interface Left {
  frame: HistoryHeader;
  steps: readonly StoredStep[];
}

/** A tab that was closed can be opened again by the browser; after this long, in ms, nobody will. */
const FORGOTTEN = 7 * 24 * 60 * 60 * 1000;

let database: UseStore | undefined;

/** A history for each tab, account and site. */
export function browserHistory(site: string, account: string, tab: string): HistoryStore {
  if (!('indexedDB' in globalThis)) return NO_HISTORY;
  database ??= createStore('cove-history', 'steps');
  const store = database;
  const own = `${account} ${site} ${tab}`;
  const frameKey = `frame ${own}`;
  const stepKey = (n: number) => `step ${own} ${n}`;
  const leftKey = `cove-history ${own}`;
  let stored: Set<number> = new Set();
  let next: Promise<void> = Promise.resolve();
  let waiting: KeptNow | null = null;
  /** What the database has not said yet that it holds. */
  let unsure: KeptNow | null = null;

  const write = async () => {
    if (!waiting) return;
    const writing = waiting;
    waiting = null;
    const { frame, all } = framed(writing);
    const fresh = all.filter(step => !stored.has(step.n));
    const now = new Set(all.map(step => step.n));
    const gone = [...stored].filter(n => !now.has(n));
    await setMany(
      [[frameKey, frame], ...fresh.map((step): [string, StoredStep] => [stepKey(step.n), step])],
      store,
    );
    stored = now;
    if (unsure === writing) unsure = null;
    if (gone.length > 0) await delMany(gone.map(stepKey), store);
  };
  // Whoever leaves in the moment after an act finds it to be undone all the same: this is written before the page goes.
  const leave = () => {
    if (!unsure) return;
    const { frame, all } = framed(unsure);
    const left: Left = { frame, steps: all.filter(step => !stored.has(step.n)) };
    try {
      sessionStorage.setItem(leftKey, JSON.stringify(left));
    } catch {
      // More than the browser takes: what the database has stays.
    }
  };
  addEventListener('pagehide', leave);

  return {
    async load() {
      await forgetOld(store);
      const known = await get<HistoryHeader>(frameKey, store);
      const text = sessionStorage.getItem(leftKey);
      sessionStorage.removeItem(leftKey);
      const left: Left | null = text === null ? null : JSON.parse(text);
      const latest = left && left.frame.at >= (known?.at ?? 0) ? left : null;
      const frame = latest?.frame ?? known;
      if (!frame) return null;
      const steps = new Map((latest?.steps ?? []).map(step => [step.n, step]));
      const read = async (numbers: readonly number[]) => {
        const found = await getMany<StoredStep | undefined>(numbers.map(stepKey), store);
        for (const step of found) if (step) stored.add(step.n);
        return numbers.flatMap((n, i) => steps.get(n) ?? found[i] ?? []);
      };
      const [undo, redo] = [await read(frame.undo), await read(frame.redo)];
      const { seq, overtaken, count, schema } = frame;
      return { seq, history: { undo, redo, overtaken, count, ...(schema !== undefined && { schema }) } };
    },
    save(seq, history) {
      const idle = waiting === null;
      waiting = { seq, history };
      unsure = waiting;
      // A history that cannot be kept is one that ends with the tab, as it did before.
      if (idle) next = next.then(write).catch(() => {});
    },
    close: () => removeEventListener('pagehide', leave),
  };
}

interface KeptNow {
  seq: number;
  history: History;
}

/** A history as it is kept: each step bears the schema of its edits, since it is not written again. */
export function keptHistory(history: History): StoredHistory {
  const { undo, redo, ...rest } = history.kept();
  const bearing = (steps: readonly HistoryStep[]): StoredStep[] =>
    steps.map(step => ({ ...step, schema: SCHEMA }));
  return { ...rest, schema: SCHEMA, undo: bearing(undo), redo: bearing(redo) };
}

/** The same, taken apart: the steps, and what says which they are. */
function framed({ seq, history }: KeptNow): { frame: HistoryHeader; all: readonly StoredStep[] } {
  const { undo, redo, ...rest } = keptHistory(history);
  const numbers = (steps: readonly StoredStep[]) => steps.map(step => step.n);
  return {
    frame: { ...rest, at: Date.now(), seq, undo: numbers(undo), redo: numbers(redo) },
    all: [...undo, ...redo],
  };
}

async function forgetOld(store: UseStore): Promise<void> {
  const all = await entries<string, HistoryHeader | StoredStep>(store);
  const old = all.flatMap(([key, it]) =>
    key.startsWith('frame ') && 'at' in it && it.at < Date.now() - FORGOTTEN ? [key.slice(6)] : [],
  );
  const gone = all
    .map(([key]) => key)
    .filter(key => old.some(own => key === `frame ${own}` || key.startsWith(`step ${own} `)));
  if (gone.length > 0) await delMany(gone, store);
}
