import { byOrder, type Edit, type Id, keyBetween, keysBetween } from '../site/index.ts';

interface Ordered {
  id: Id;
  order: string;
}

/** The last key of a list; null where it is empty. */
export function lastKey(items: Iterable<{ order: string }>): string | null {
  let last: string | null = null;
  for (const { order } of items) if (last === null || order > last) last = order;
  return last;
}

/** The key at the end of a list. */
export const keyAtEnd = (items: Iterable<{ order: string }>): string => keyBetween(lastKey(items), null);

/** The key right behind one of a list. */
export function keyBehind(items: Iterable<Ordered>, one: Ordered): string {
  const list = [...items].sort(byOrder);
  const next = list[list.findIndex(it => it.id === one.id) + 1];
  return keyBetween(one.order, next && next.order > one.order ? next.order : null);
}

/** Brings a record to place number `index` of a list, which it may come to; the keys of the others stay where they can. */
export function reorder(items: Iterable<Ordered>, moving: Ordered, index: number): Edit[] {
  const all = [...items].sort(byOrder);
  const list = all.filter(it => it.id !== moving.id);
  const at = Math.max(0, Math.min(index, list.length));
  if (all[at]?.id === moving.id) return [];
  const low = list[at - 1]?.order ?? null;
  const high = list[at]?.order ?? null;
  if (low === null || high === null || low < high)
    return [{ op: 'set', id: moving.id, path: ['order'], value: keyBetween(low, high) }];
  const placed = list.toSpliced(at, 0, moving);
  const keys = keysBetween(null, null, placed.length);
  return placed.map((it, i): Edit => ({ op: 'set', id: it.id, path: ['order'], value: keys[i] ?? it.order }));
}
