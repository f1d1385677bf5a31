import { createStore } from 'zustand/vanilla';

/** As many as stand in one line of a library. */
const MOST = 5;

/** Names of what was added last in this browser, the latest first, kept under a key. */
function recentStore(key: string) {
  const kept = (): readonly string[] => {
    const names: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(names) ? names.filter(it => typeof it === 'string') : [];
  };
  const store = createStore<{ names: readonly string[] }>(() => ({ names: kept() }));
  store.subscribe(({ names }) => localStorage.setItem(key, JSON.stringify(names)));
  const note = (name: string): void =>
    store.setState(({ names }) => ({ names: [name, ...names.filter(it => it !== name)].slice(0, MOST) }));
  return { store, note };
}

export const recentWidgets = recentStore('cove.adding.recent');
export const recentSections = recentStore('cove.adding.recent.sections');
