import { printNumber } from '../../color/index.ts';
import { isNumbers, parseNumber } from '../json.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

/** A curve goes from the left to the right: CSS Easing Functions 1, section 2.2. */
function curve(points: readonly number[]): ValueOf<'cubicBezier'> | null {
  const [a, b, c, d, ...more] = points;
  if (a === undefined || b === undefined || c === undefined || d === undefined || more.length > 0)
    return null;
  return a >= 0 && a <= 1 && c >= 0 && c <= 1 ? { type: 'cubicBezier', value: [a, b, c, d] } : null;
}

export const cubicBezier: LiteralKind<ValueOf<'cubicBezier'>> = {
  read: ({ value }) => (isNumbers(value, 4) ? curve(value) : null),
  parse(text) {
    const inner = /^cubic-bezier\((.*)\)$/.exec(text)?.[1];
    const points = inner?.split(',').map(part => parseNumber(part.trim())) ?? [];
    const numbers = points.filter(it => it !== null);
    return numbers.length === points.length ? curve(numbers) : null;
  },
  print: ({ value }) => `cubic-bezier(${value.map(printNumber).join(', ')})`,
};
