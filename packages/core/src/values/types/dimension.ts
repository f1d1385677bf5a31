import { printNumber } from '../../color/index.ts';
import { parseLength, printLength, readLength } from '../length.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const dimension: LiteralKind<ValueOf<'dimension'>> = {
  read(it) {
    const value = readLength(it.value);
    return value && { type: 'dimension', value };
  },
  parse(text) {
    const value = parseLength(text);
    return value && { type: 'dimension', value };
  },
  print: ({ value }, { viewportUnit }) =>
    value.unit === 'vw' && viewportUnit !== '1vw'
      ? `calc(${printNumber(value.value)} * ${viewportUnit})`
      : printLength(value),
  // Nothing at all is no step of a scale.
  isLoose: ({ value }) => value.value !== 0,
};
