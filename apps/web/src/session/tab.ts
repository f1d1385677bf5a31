const KEY = 'cove-tab';
const newName = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(8)), it => (it % 36).toString(36)).join('');

/**
 * The name of this tab: the same after a reload, and another one in a tab that was duplicated from it, which takes the
 * storage along. Eight letters and digits.
 */
export async function nameOfTab(): Promise<string> {
  const known = sessionStorage.getItem(KEY);
  const name = known && (await isOurs(known)) ? known : newName();
  if (name !== known) await isOurs(name);
  sessionStorage.setItem(KEY, name);
  return name;
}

const held = new Set<string>();
/** Takes the name for as long as the tab lives; false where another tab has it. */
function isOurs(name: string): Promise<boolean> {
  if (!('locks' in navigator) || held.has(name)) return Promise.resolve(true);
  return new Promise(resolve => {
    void navigator.locks.request(`cove tab ${name}`, { ifAvailable: true }, lock => {
      resolve(lock !== null);
      if (!lock) return undefined;
      held.add(name);
      return new Promise(() => {});
    });
  });
}
