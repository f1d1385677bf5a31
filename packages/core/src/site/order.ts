import { LIMITS } from '../limits/index.ts';

const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';

const LOWEST = DIGITS.charAt(0);
const HIGHEST = DIGITS.charAt(DIGITS.length - 1);

export const isOrderKey = (key: string): boolean =>
  key.length <= LIMITS.orderKey.characters && /^[0-9A-Za-z]+$/.test(key) && !key.endsWith(LOWEST);

/** Digits that are counted up or down at an open end, at most. */
const MOST_COUNTED = 8;

/**
 * The digits behind a run of the outermost one, as many as the run is long and one more, and how to put others in their
 * place. So a list that grows at one end has room for 61 keys of one digit, 62² of three, 62⁴ of seven: its keys grow with
 * the logarithm of its length.
 */
function counter(
  key: string,
  outermost: string,
): { digits: number[]; with(digits: readonly number[]): string } {
  let run = 0;
  while (key[run] === outermost) run++;
  const width = Math.min(run + 1, MOST_COUNTED);
  const digits = Array.from({ length: width }, (_, i) => DIGITS.indexOf(key[run + i] ?? LOWEST));
  return {
    digits,
    with: counted => key.slice(0, run) + counted.map(digit => DIGITS.charAt(digit)).join(''),
  };
}

/** Adds to the last digit of a counter, carrying; the first one has room, being behind a run of the highest. */
function add(digits: readonly number[], by: number): number[] {
  const base = DIGITS.length;
  const sum = [...digits];
  sum[sum.length - 1] = (sum.at(-1) ?? 0) + by;
  for (let i = sum.length - 1; i > 0; i--) {
    const digit = sum[i] ?? 0;
    const carry = Math.floor(digit / base);
    sum[i] = digit - carry * base;
    sum[i - 1] = (sum[i - 1] ?? 0) + carry;
  }
  return sum;
}

function keyAfter(low: string): string {
  const { digits, with: made } = counter(low, HIGHEST);
  const next = add(digits, 1);
  // A key never ends in the least digit.
  return made(next.at(-1) === 0 ? add(next, 1) : next);
}

function keyBefore(high: string): string {
  const { digits, with: made } = counter(high, LOWEST);
  const next = add(digits, digits.at(-1) === 1 ? -2 : -1);
  if ((next[0] ?? 0) >= 0 && next.some(digit => digit > 0)) return made(next);
  const run = high.search(/[^0]/) + digits.length;
  return LOWEST.repeat(run) + HIGHEST.repeat(Math.min(run + 1, MOST_COUNTED));
}

/**
 * A key that sorts strictly between two others as plain text; null stands for the open end. Keys never end in the least
 * digit, so there is always room before one. Throws when `low` does not sort before `high`.
 */
export function keyBetween(low: string | null, high: string | null): string {
  if (low !== null && high !== null && low >= high) throw new Error(`no key between ${low} and ${high}`);
  if (low !== null && high === null) return keyAfter(low);
  if (low === null && high !== null) return keyBefore(high);
  let key = '';
  let ceiling = high;
  for (let i = 0; ; i++) {
    const a = DIGITS.indexOf(low?.[i] ?? LOWEST);
    const b =
      ceiling === null ? DIGITS.length : ceiling[i] === undefined ? 0 : DIGITS.indexOf(ceiling[i] ?? LOWEST);
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
  if (low === null || high === null) {
    for (let i = 0, end = low ?? high; i < count; i++) {
      end = low === null ? keyBetween(null, end) : keyBetween(end, null);
      keys.push(end);
    }
    return low === null ? keys.reverse() : keys;
  }
  const fill = (from: string, to: string, some: number) => {
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
