import type { History, HistoryStep, KeptHistory } from '@cove/core';
import { createStore, delMany, entries, get, getMany, setMany, type UseStore } from 'idb-keyval';

/** A history, and the number of the last change that was heard when it was kept. */
export interface KeptAt {
  seq: number;
  history: KeptHistory;
}

/** Keeps what can be undone over a reload. */
export interface HistoryStore {
  load(): Promise<KeptAt | null>;
  save(seq: number, history: History): void;
}

export const NO_HISTORY: HistoryStore = { load: async () => null, save: () => {} };

/** Everything but the steps, which are kept one by one, so that keeping one more costs no more than that one. */
interface Frame extends Omit<KeptHistory, 'undo' | 'redo'> {
  /** In ms. */
  at: number;
  seq: number;
  undo: readonly number[];
  redo: readonly number[];
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
  let stored = new Set<number>();
  let next: Promise<void> = Promise.resolve();
  let waiting: { seq: number; history: History } | null = null;

  const write = async () => {
    if (!waiting) return;
    const { seq, history } = waiting;
    waiting = null;
    const { undo, redo, overtaken, count } = history.kept();
    const numbers = (steps: readonly HistoryStep[]) => steps.map(step => step.n);
    const frame: Frame = { at: Date.now(), seq, overtaken, count, undo: numbers(undo), redo: numbers(redo) };
    const all = [...undo, ...redo];
    const fresh = all.filter(step => !stored.has(step.n));
    const now = new Set(numbers(all));
    const gone = [...stored].filter(n => !now.has(n));
    stored = now;
    await setMany(
      [[frameKey, frame], ...fresh.map((step): [string, HistoryStep] => [stepKey(step.n), step])],
      store,
    );
    if (gone.length > 0) await delMany(gone.map(stepKey), store);
  };

  return {
    async load() {
      await forgetOld(store);
      const frame = await get<Frame>(frameKey, store);
      if (!frame) return null;
      const read = async (numbers: readonly number[]) =>
        (await getMany<HistoryStep | undefined>(numbers.map(stepKey), store)).filter(
          step => step !== undefined,
        );
      const [undo, redo] = [await read(frame.undo), await read(frame.redo)];
      stored = new Set([...undo, ...redo].map(step => step.n));
      const { seq, overtaken, count } = frame;
      return { seq, history: { undo, redo, overtaken, count } };
    },
    save(seq, history) {
      const idle = waiting === null;
      waiting = { seq, history };
      // A history that cannot be kept is one that ends with the tab, as it did before.
      if (idle) next = next.then(write).catch(() => {});
    },
  };
}

async function forgetOld(store: UseStore): Promise<void> {
  const all = await entries<string, Frame | HistoryStep>(store);
  const old = all.flatMap(([key, it]) =>
    key.startsWith('frame ') && 'at' in it && it.at < Date.now() - FORGOTTEN ? [key.slice(6)] : [],
  );
  const gone = all
    .map(([key]) => key)
    .filter(key => old.some(own => key === `frame ${own}` || key.startsWith(`step ${own} `)));
  if (gone.length > 0) await delMany(gone, store);
}
