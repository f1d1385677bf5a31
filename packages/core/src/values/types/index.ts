import type { LiteralType, ValueType } from '../value.ts';
import { color } from './color.ts';
import { cubicBezier } from './cubicBezier.ts';
import { derived } from './derived.ts';
import { dimension } from './dimension.ts';
import { duration } from './duration.ts';
import { fluid } from './fluid.ts';
import { fontFamily } from './fontFamily.ts';
import { gradient } from './gradient.ts';
import { keyword } from './keyword.ts';
import { number } from './number.ts';
import { pattern } from './pattern.ts';
import { picture } from './picture.ts';
import { position } from './position.ts';
import { role } from './role.ts';
import { shadow } from './shadow.ts';
import { textStyle } from './textStyle.ts';
import { token } from './token.ts';
import type { LiteralKind, ValueKind, ValueOf } from './valueType.ts';

/** Types of values that say themselves what they are. */
export const LITERAL_TYPES: { readonly [T in LiteralType]: LiteralKind<ValueOf<T>> } = {
  color,
  dimension,
  fluid,
  number,
  duration,
  cubicBezier,
  fontFamily,
  shadow,
  gradient,
  picture,
  pattern,
  position,
  keyword,
};

/** All types of values. */
export const VALUE_TYPES: { readonly [T in ValueType]: ValueKind<ValueOf<T>> } = {
  ...LITERAL_TYPES,
  token,
  role,
  textStyle,
  derived,
};
