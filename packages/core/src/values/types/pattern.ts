import { splitTop } from '../brackets.ts';
import { isId } from '../value.ts';
import { swapColor } from './swapColor.ts';
import { parseTint, partsOfCall, printTinted, readTint, typedTint } from './tint.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const pattern: LiteralKind<ValueOf<'pattern'>> = {
  read({ drawing, ink: given, tint: laid }, readColor) {
    const ink = readColor(given);
    const tint = readTint(laid, readColor);
    return isId(drawing) && ink && tint !== undefined ? { type: 'pattern', drawing, ink, tint } : null;
  },
  /** `pattern(waves, #fff, #000 40%)`: an id, its ink, and a tint where there is one. */
  parse(text, parseColor) {
    const [drawing, inked, over, ...rest] = partsOfCall(text, 'pattern', it => splitTop(it, /,/));
    const ink = inked === undefined ? null : parseColor(inked);
    const tint = over === undefined ? null : parseTint(over, parseColor);
    if (!isId(drawing) || !ink || rest.length > 0 || (over !== undefined && !tint)) return null;
    return { type: 'pattern', drawing, ink, tint };
  },
  print: (value, context, inside) => printTinted(context.pattern(value), value.tint, inside),
  typed: ({ drawing, ink, tint }, inside) =>
    `pattern(${[drawing, inside(ink), ...(tint ? [typedTint(tint, inside)] : [])].join(', ')})`,
  colors: ({ ink, tint }) => (tint ? [ink, tint.color] : [ink]),
  withColors(value, other) {
    const tint = value.tint && swapColor(value.tint, other);
    const ink = other(value.ink);
    return tint === value.tint && ink === value.ink ? value : { ...value, ink, tint };
  },
};
