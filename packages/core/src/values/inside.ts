import { VALUE_TYPES } from './types/index.ts';
import type { ValueOf } from './types/valueType.ts';
import type { Value, ValueType } from './value.ts';

const NONE: readonly Value[] = [];
const colorsOf = <T extends ValueType>(type: T, value: ValueOf<T>): readonly Value[] =>
  VALUE_TYPES[type].colors?.(value) ?? NONE;

/** Colours that stand inside a value: of the layers of a shadow, of the stops of a gradient, on and over an image. */
export const colorsIn = (value: Value): readonly Value[] => colorsOf(value.type, value);

const swapping = <T extends ValueType>(type: T, value: ValueOf<T>, other: (color: Value) => Value): Value =>
  VALUE_TYPES[type].withColors?.(value, other) ?? value;

/** The same value with other colours inside; the very object where none differs. */
export const withColors = (value: Value, other: (color: Value) => Value): Value =>
  swapping(value.type, value, other);

const loosening = <T extends ValueType>(type: T, value: ValueOf<T>): boolean =>
  VALUE_TYPES[type].isLoose?.(value, isLoose) ?? false;

/** Whether a value could have been taken from a scale or a palette and was not. */
export const isLoose = (value: Value): boolean => loosening(value.type, value);

const NO_TOKENS: readonly string[] = [];

/** Ids of the tokens a value names, also inside shadows and derivations. */
export function tokensIn(value: Value): readonly string[] {
  if (value.type === 'token') return [value.token];
  if (value.type === 'derived') return value.derivation.from;
  const colors = colorsIn(value);
  return colors.length === 0 ? NO_TOKENS : colors.flatMap(tokensIn);
}

/** The same value with other tokens in the place of those it names; the very object where none differs. */
export function withTokens(value: Value, other: (token: string) => string): Value {
  if (value.type === 'token') {
    const token = other(value.token);
    return token === value.token ? value : { type: 'token', token };
  }
  if (value.type === 'derived') {
    const from = value.derivation.from.map(other);
    return from.every((id, i) => id === value.derivation.from[i])
      ? value
      : { type: 'derived', derivation: { ...value.derivation, from } };
  }
  return withColors(value, color => withTokens(color, other));
}
