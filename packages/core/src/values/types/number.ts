import { printNumber } from '../../color/index.ts';
import { parseArithmetic } from '../arithmetic.ts';
import { isNumber } from '../json.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const number: LiteralKind<ValueOf<'number'>> = {
  read: ({ value }) => (isNumber(value) ? { type: 'number', value } : null),
  parse(text) {
    const value = parseArithmetic(text);
    return value === null ? null : { type: 'number', value };
  },
  print: ({ value }) => printNumber(value),
};
