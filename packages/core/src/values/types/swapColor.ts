import type { Value } from '../value.ts';

/** The same with another colour; the very object where it does not differ. */
export function swapColor<T extends { readonly color: Value }>(it: T, other: (color: Value) => Value): T {
  const color = other(it.color);
  return color === it.color ? it : { ...it, color };
}
