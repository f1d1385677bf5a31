import { createStore } from 'zustand/vanilla';

/** Where a browser keeps which widgets were added last. */
const KEY = 'cove.adding.recent';
/** As many as stand in one line of the library. */
const MOST = 5;

const kept = (): readonly string[] => {
  const names: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
  return Array.isArray(names) ? names.filter(it => typeof it === 'string') : [];
};

/** Names of the widgets that were added last in this browser, the latest first. */
export const recent = createStore<{ names: readonly string[] }>(() => ({ names: kept() }));
recent.subscribe(({ names }) => localStorage.setItem(KEY, JSON.stringify(names)));

export const noteAdded = (name: string): void =>
  recent.setState(({ names }) => ({ names: [name, ...names.filter(it => it !== name)].slice(0, MOST) }));
