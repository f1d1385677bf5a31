import { LIMITS } from '../../limits/index.ts';
import {
  byOrder,
  type Edit,
  editOf,
  type Id,
  keyBetween,
  keysBetween,
  type OrderedKind,
} from '../../site/index.ts';

/** Something in a list that stands in the order of keys. */
interface Keyed {
  id: Id;
  order: string;
}
/** A record that says its own place. */
type Ordered = Keyed & { kind: OrderedKind };

/** The last key of a list; null where it is empty. */
export function lastKey(items: Iterable<{ order: string }>): string | null {
  let last: string | null = null;
  for (const { order } of items) if (last === null || order > last) last = order;
  return last;
}

/** The key at the end of a list. */
export const keyAtEnd = (items: Iterable<{ order: string }>): string => keyBetween(lastKey(items), null);

/**
 * Keys for `count` newcomers from place number `index` of a list on, which is in order, and new keys for all that stand in
 * it where there is no room: where neighbours have the same key, or a key would become long. So no key ever reaches the
 * length at which it is refused.
 */
export function placeAmong<T extends Keyed>(
  list: readonly T[],
  index: number,
  count: number,
): { orders: string[]; rekeyed: readonly T[] } {
  const at = Math.max(0, Math.min(index, list.length));
  const low = list[at - 1]?.order ?? null;
  const high = list[at]?.order ?? null;
  if (low === null || high === null || low < high) {
    const orders = keysBetween(low, high, count);
    if (orders.every(order => order.length <= LIMITS.orderKey.rekeyed)) return { orders, rekeyed: [] };
  }
  const keys = keysBetween(null, null, list.length + count);
  const rekeyed = list.map((it, i) => ({ ...it, order: keys[i < at ? i : i + count] ?? it.order }));
  return { orders: keys.slice(at, at + count), rekeyed };
}

const setOrder = ({ kind, id, order }: Ordered): Edit => editOf({ kind, id }).set('order', order);

/** The place right behind one of a list, and the edits that make room for it. */
export function placeBehind(items: Iterable<Ordered>, one: Ordered): { order: string; rekeyed: Edit[] } {
  const list = [...items].sort(byOrder);
  const { orders, rekeyed } = placeAmong(list, list.findIndex(it => it.id === one.id) + 1, 1);
  return { order: orders[0] ?? one.order, rekeyed: rekeyed.map(setOrder) };
}

/** Brings a record to place number `index` of a list, which it may come to; the keys of the others stay where they can. */
export function reorder(items: Iterable<Ordered>, moving: Ordered, index: number): Edit[] {
  const all = [...items].sort(byOrder);
  const list = all.filter(it => it.id !== moving.id);
  const at = Math.max(0, Math.min(index, list.length));
  if (all[at]?.id === moving.id) return [];
  const { orders, rekeyed } = placeAmong(list, at, 1);
  const { kind, id } = moving;
  return [...rekeyed, { kind, id, order: orders[0] ?? moving.order }].map(setOrder);
}
