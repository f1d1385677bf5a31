import { createStore } from 'zustand/vanilla';

/** Where a browser keeps which hints were dismissed in it. */
const KEY = 'cove.hints.dismissed';

const kept = (): ReadonlySet<string> => {
  const names: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
  return new Set(Array.isArray(names) ? names.filter(it => typeof it === 'string') : []);
};

/** Names of the hints that were dismissed in this browser. */
export const dismissed = createStore<{ names: ReadonlySet<string> }>(() => ({ names: kept() }));
dismissed.subscribe(({ names }) => localStorage.setItem(KEY, JSON.stringify([...names])));

export const dismiss = (name: string): void =>
  dismissed.setState(({ names }) => ({ names: new Set([...names, name]) }));

/** Shows all hints again. */
export const restoreHints = (): void => dismissed.setState({ names: new Set() });
