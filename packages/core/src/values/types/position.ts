import { splitTop } from '../brackets.ts';
import { parseLength, printLength, readLength } from '../length.ts';
import { type Length, PLACE_UNITS } from '../value.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

/** A place in a picture is told in shares of it or in lengths; others depend on what has no place here. */
const isPlace = ({ unit }: Length): boolean => PLACE_UNITS.includes(unit);

export const position: LiteralKind<ValueOf<'position'>> = {
  read(it) {
    const [x, y] = [readLength(it.x), readLength(it.y)];
    return x && y && isPlace(x) && isPlace(y) ? { type: 'position', x, y } : null;
  },
  parse(text) {
    const [x, y, ...rest] = splitTop(text, /\s/).map(parseLength);
    return x && y && isPlace(x) && isPlace(y) && rest.length === 0 ? { type: 'position', x, y } : null;
  },
  print: ({ x, y }) => `${printLength(x)} ${printLength(y)}`,
};
