import { isColorSpace, parseColor, printColor, printPainted } from '../../color/index.ts';
import { isNumber, isNumbers, isObject } from '../json.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const color: LiteralKind<ValueOf<'color'>> = {
  read({ value }) {
    if (!isObject(value) || typeof value.space !== 'string' || !isColorSpace(value.space)) return null;
    const { space, coords, alpha } = value;
    if (!isNumbers(coords, 3) || !isNumber(alpha) || alpha < 0 || alpha > 1) return null;
    const [x = 0, y = 0, z = 0] = coords;
    return { type: 'color', value: { space, coords: [x, y, z], alpha } };
  },
  parse(text) {
    const value = parseColor(text);
    return value && { type: 'color', value };
  },
  print: ({ value }, { gamut }) => printPainted(value, gamut),
  typed: ({ value }) => printColor(value),
  isLoose: () => true,
};
