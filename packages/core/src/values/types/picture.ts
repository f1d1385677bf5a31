import { splitTop } from '../brackets.ts';
import { isId } from '../value.ts';
import { swapColor } from './swapColor.ts';
import { parseTint, partsOfCall, printTinted, readTint, typedTint } from './tint.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const picture: LiteralKind<ValueOf<'picture'>> = {
  read({ asset, tint: given }, readColor) {
    const tint = readTint(given, readColor);
    return isId(asset) && tint !== undefined ? { type: 'picture', asset, tint } : null;
  },
  /** `picture(quay, #000 40%)`: an id, and a tint where there is one. */
  parse(text, parseColor) {
    const [asset, over, ...rest] = partsOfCall(text, 'picture', it => splitTop(it, /,/));
    const tint = over === undefined ? null : parseTint(over, parseColor);
    if (!isId(asset) || rest.length > 0 || (over !== undefined && !tint)) return null;
    return { type: 'picture', asset, tint };
  },
  print: ({ asset, tint }, context, inside) => printTinted(context.picture(asset), tint, inside),
  typed: ({ asset, tint }, inside) =>
    `picture(${[asset, ...(tint ? [typedTint(tint, inside)] : [])].join(', ')})`,
  colors: ({ tint }) => (tint ? [tint.color] : []),
  withColors(value, other) {
    const tint = value.tint && swapColor(value.tint, other);
    return tint === value.tint ? value : { ...value, tint };
  },
};
