/** By the names that are taken, the number that each name has come to: many equal names would otherwise be counted through again. */
const reached = new WeakMap<Set<string>, Map<string, number>>();

/** The wanted name, with a number behind it where it is taken (capitals do not count); it is taken from then on. */
export function uniqueName(wanted: string, taken: Set<string>): string {
  const key = wanted.toLowerCase();
  if (!taken.has(key)) {
    taken.add(key);
    return wanted;
  }
  const numbers = reached.get(taken) ?? new Map<string, number>();
  reached.set(taken, numbers);
  let n = numbers.get(key) ?? 2;
  while (taken.has(`${key} ${n}`)) n++;
  numbers.set(key, n + 1);
  taken.add(`${key} ${n}`);
  return `${wanted} ${n}`;
}

export const namesTaken = (items: Iterable<{ name: string }>): Set<string> =>
  new Set(Array.from(items, it => it.name.toLowerCase()));
