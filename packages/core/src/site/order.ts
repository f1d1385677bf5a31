const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';

export const isOrderKey = (key: string): boolean => /^[0-9A-Za-z]{1,200}$/.test(key) && !key.endsWith('0');

/**
 * A key that sorts strictly between two others as plain text; null stands for the open end.
 * Keys never end in the least digit, so there is always room before one.
 * Throws when `low` does not sort before `high`.
 */
export function keyBetween(low: string | null, high: string | null): string {
  if (low !== null && high !== null && low >= high) throw new Error(`no key between ${low} and ${high}`);
  let key = '';
  let ceiling = high;
  for (let i = 0; ; i++) {
    const a = DIGITS.indexOf(low?.[i] ?? '0');
    const b =
      ceiling === null ? DIGITS.length : ceiling[i] === undefined ? 0 : DIGITS.indexOf(ceiling[i] ?? '0');
    if (b - a > 1) return key + DIGITS[Math.round((a + b) / 2)];
    key += DIGITS[a];
    if (b - a === 1) ceiling = null;
  }
}

/** Keys over the whole range, as the digits of numbers that stand equally far apart. */
function evenKeys(count: number): string[] {
  const base = DIGITS.length;
  let range = base;
  let width = 1;
  for (; range < count + 1; range *= base) width++;
  return Array.from({ length: count }, (_, i) => {
    let rest = Math.round(((i + 1) * range) / (count + 1));
    let key = '';
    for (let k = 0; k < width; k++) {
      const digit = rest % base;
      rest = (rest - digit) / base;
      // A key never ends in the least digit.
      if (key !== '' || digit !== 0) key = DIGITS.charAt(digit) + key;
    }
    return key;
  });
}

/** `count` keys in order between two others, spread evenly, so that they stay short. */
export function keysBetween(low: string | null, high: string | null, count: number): string[] {
  if (low === null && high === null) return evenKeys(count);
  const keys: string[] = [];
  const fill = (from: string | null, to: string | null, some: number) => {
    if (some <= 0) return;
    const before = Math.floor((some - 1) / 2);
    const middle = keyBetween(from, to);
    fill(from, middle, before);
    keys.push(middle);
    fill(middle, to, some - 1 - before);
  };
  fill(low, high, count);
  return keys;
}

export const byOrder = (a: { id: string; order: string }, b: { id: string; order: string }): number =>
  a.order < b.order ? -1 : a.order > b.order ? 1 : a.id < b.id ? -1 : 1;
