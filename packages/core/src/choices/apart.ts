import { distance, printNumber } from '../color/index.ts';
import { stableText } from '../site/index.ts';
import { lengthInPx, type Value } from '../values/index.ts';

const inPx = (value: Value): number | null => (value.type === 'dimension' ? lengthInPx(value.value) : null);

export interface Apart {
  /** In the unit in which values of the kind are compared: px, CIEDE2000, ms; below 0 where the first is the lesser of two. */
  by: number;
  /** The same for people; null where there is no difference. */
  words: string | null;
  /** Whether one may well have been meant by the other. */
  close: boolean;
}

const rounded = (n: number) => printNumber(Number(Math.abs(n).toPrecision(3)));
/** A share of a value within which another is close to it. */
const CLOSE_SHARE = 0.15;
/** CIEDE2000 within which colours are taken for each other. */
const CLOSE_COLORS = 2.5;

const SAME: Apart = { by: 0, words: null, close: true };

const scalar = (a: number, b: number, unit: string, least: number): Apart => {
  const by = a - b;
  const close = Math.abs(by) <= Math.max(least, CLOSE_SHARE * Math.max(Math.abs(a), Math.abs(b)));
  return { by, words: by === 0 ? null : `${rounded(by)}${unit}`, close };
};

/** How far two literals of a kind are from each other; null where they cannot be compared. */
export function apart(a: Value, b: Value): Apart | null {
  if (stableText(a) === stableText(b)) return SAME;
  if (a.type === 'color' && b.type === 'color') {
    const by = a.value.alpha === b.value.alpha ? distance(a.value, b.value) : null;
    return by === null
      ? null
      : { by, words: by === 0 ? null : `a distance of ${rounded(by)}`, close: by <= CLOSE_COLORS };
  }
  if (a.type === 'dimension' && b.type === 'dimension') {
    const [one, other] = [inPx(a), inPx(b)];
    if (one !== null && other !== null) return scalar(one, other, 'px', 1);
    return a.value.unit === b.value.unit ? scalar(a.value.value, b.value.value, a.value.unit, 0) : null;
  }
  if (a.type === 'number' && b.type === 'number') return scalar(a.value, b.value, '', 0);
  if (a.type === 'duration' && b.type === 'duration') return scalar(a.value, b.value, 'ms', 10);
  return null;
}
