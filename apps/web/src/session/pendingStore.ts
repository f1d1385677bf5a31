import { createStore, delMany, entries, set, type UseStore } from 'idb-keyval';
import type { MadeChange } from './streamMessages.ts';

/** Keeps what is not on the server yet, so that closing the browser forgets nothing. */
export interface PendingStore {
  /** What was left waiting, oldest first; also by tabs that are gone. */
  load(): Promise<readonly MadeChange[]>;
  /** Rejects where it cannot be kept. */
  save(pending: readonly MadeChange[]): Promise<void>;
  /** Nothing more will be kept. */
  close(): void;
}

interface Kept {
  /** When the list was last written, in ms. */
  at: number;
  pending: readonly MadeChange[];
}

/** Keeps nothing: for browsers without a database, and for tests. */
export const NO_STORE: PendingStore = {
  load: async () => [],
  save: pending =>
    pending.length > 0 ? Promise.reject(new Error('this browser keeps nothing')) : Promise.resolve(),
  close: () => {},
};

/** Before the keys of what is left outside the database. */
const LEFT = 'cove-pending ';

let database: UseStore | undefined;

/**
 * A list for each tab. Whoever opens the site next takes over what other tabs have left; should one of them still be there,
 * both send the same changes, which are accepted once.
 */
export function browserStore(site: string, account: string): PendingStore {
  if (!('indexedDB' in globalThis)) return NO_STORE;
  database ??= createStore('cove', 'pending');
  const store = database;
  const prefix = `${account} ${site} `;
  const own = prefix + crypto.randomUUID();
  /** What the database has not said yet that it holds. */
  let unsure: readonly MadeChange[] = [];
  // A change made in the moment before the page is left: this is written before the page goes.
  const leave = () => {
    if (unsure.length === 0) return;
    try {
      localStorage.setItem(LEFT + own, JSON.stringify({ at: Date.now(), pending: unsure } satisfies Kept));
    } catch {
      // More than the browser takes: it may still reach the database, or the server.
    }
  };
  addEventListener('pagehide', leave);
  return {
    async load() {
      const found = [...(await entries<string, Kept>(store)), ...takeLeft()].filter(([key]) =>
        key.startsWith(prefix),
      );
      const all = found.sort(([, a], [, b]) => a.at - b.at).flatMap(([, kept]) => kept.pending);
      // The same may have been left in both places.
      const pending = [...new Map(all.map(change => [change.id, change])).values()];
      if (pending.length > 0) await set(own, { at: Date.now(), pending } satisfies Kept, store);
      await delMany(
        found.map(([key]) => key),
        store,
      );
      return pending;
    },
    async save(pending) {
      unsure = pending;
      await (pending.length > 0
        ? set(own, { at: Date.now(), pending } satisfies Kept, store)
        : delMany([own], store));
      if (unsure === pending) unsure = [];
    },
    close: () => removeEventListener('pagehide', leave),
  };

  /** What pages left of this account and site; it is the caller's from now on. */
  function takeLeft(): [string, Kept][] {
    const keys = Object.keys(localStorage).filter(key => key.startsWith(LEFT + prefix));
    return keys.map(key => {
      const kept: Kept = JSON.parse(localStorage.getItem(key) ?? '{"at":0,"pending":[]}');
      localStorage.removeItem(key);
      return [key.slice(LEFT.length), kept];
    });
  }
}
