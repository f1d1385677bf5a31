import { createStore, delMany, entries, set, type UseStore } from 'idb-keyval';
import type { MadeChange } from './streamMessages.ts';

/** Keeps what is not on the server yet, so that closing the browser forgets nothing. */
export interface PendingStore {
  /** What was left waiting, oldest first; also by tabs that are gone. */
  load(): Promise<readonly MadeChange[]>;
  /** Rejects where it cannot be kept. */
  save(pending: readonly MadeChange[]): Promise<void>;
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
};

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
  return {
    async load() {
      const found = (await entries<string, Kept>(store)).filter(([key]) => key.startsWith(prefix));
      const pending = found.sort(([, a], [, b]) => a.at - b.at).flatMap(([, kept]) => kept.pending);
      if (pending.length > 0) await set(own, { at: Date.now(), pending } satisfies Kept, store);
      await delMany(
        found.map(([key]) => key),
        store,
      );
      return pending;
    },
    save: pending =>
      pending.length > 0
        ? set(own, { at: Date.now(), pending } satisfies Kept, store)
        : delMany([own], store),
  };
}
