export { namesTaken, uniqueName } from './uniqueName.ts';

/** Items under their keys, both in the order met. */
export function groupBy<T>(items: Iterable<T>, key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const list = groups.get(key(item));
    if (list) list.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

/** The keys of a table under their own type, in the order in which they were written. */
export const keysOf = <K extends string>(table: Readonly<Record<K, unknown>>): K[] =>
  Object.keys(table).filter((key): key is K => Object.hasOwn(table, key));
