import { printNumber } from '../../color/index.ts';
import { isNumber, parseNumber } from '../json.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const duration: LiteralKind<ValueOf<'duration'>> = {
  read: ({ value }) => (isNumber(value) ? { type: 'duration', value } : null),
  parse(text) {
    const match = /^(.*?)(ms|s)$/.exec(text);
    const number = parseNumber(match?.[1] ?? '');
    if (number === null || number < 0) return null;
    return { type: 'duration', value: number * (match?.[2] === 's' ? 1000 : 1) };
  },
  print: ({ value }) => `${printNumber(value)}ms`,
};
