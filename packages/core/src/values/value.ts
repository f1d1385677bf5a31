import type { Color } from '../color/index.ts';

export const LENGTH_UNITS = ['px', 'rem', 'em', 'ch', '%', 'vw', 'vh', 'svh', 'fr'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** Units in which a place in a picture is told. */
export const PLACE_UNITS: readonly LengthUnit[] = ['%', 'px', 'rem', 'em'];

export interface Length {
  value: number;
  unit: LengthUnit;
}

export interface ShadowLayer {
  x: Length;
  y: Length;
  blur: Length;
  spread: Length;
  inset: boolean;
  /** A colour, a token or a role. */
  color: Value;
}

/** A colour at a share (0–1) of the way. */
export interface GradientStop {
  color: Value;
  at: number;
}

/** A colour laid over an image: how much (0–1) of what lies below it is covered. */
export interface Tint {
  color: Value;
  share: number;
}

/** How a derived value is computed from tokens; each op is one file in tokens/derivations. */
export interface Derivation {
  op: string;
  /** Ids of the tokens it follows, in the order the op names them. */
  from: readonly string[];
  /** Numbers the op takes: shares are 0–1. */
  by: readonly number[];
}

/** What a slot, a token or a rebinding holds. Literals keep the unit and colour space they were written in. */
export type Value =
  | { type: 'color'; value: Color }
  | { type: 'dimension'; value: Length }
  /** Grows evenly between the site's least and most viewport width. */
  | { type: 'fluid'; min: Length; max: Length }
  | { type: 'number'; value: number }
  /** Milliseconds. */
  | { type: 'duration'; value: number }
  | { type: 'cubicBezier'; value: readonly [number, number, number, number] }
  /** Family names in order of preference; the last is a generic family. */
  | { type: 'fontFamily'; value: readonly string[] }
  | { type: 'shadow'; value: readonly ShadowLayer[] }
  /** `angle` in degrees as CSS has it: 180 runs downwards; a radial one has none. */
  | { type: 'gradient'; shape: 'linear' | 'radial'; angle: number; stops: readonly GradientStop[] }
  /** A picture of the site's by its id. */
  | { type: 'picture'; asset: string; tint: Tint | null }
  /** A drawing of the brand's own, repeated; the ink is the colour of what it paints in no colour of its own. */
  | { type: 'pattern'; drawing: string; ink: Value; tint: Tint | null }
  /** A point of a picture that stays in view when it is cropped: from the left and from the top. */
  | { type: 'position'; x: Length; y: Length }
  | { type: 'keyword'; value: string }
  | { type: 'token'; token: string }
  | { type: 'role'; role: string }
  | { type: 'textStyle'; style: string }
  | { type: 'derived'; derivation: Derivation };

/** What every object answers to: an id of such a name would be found in maps that do not hold it. */
const INHERITED: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));

/** Ids are ours or a client's: short, harmless inside a class name, and no name that every object answers to. */
export const isId = (it: unknown): it is string =>
  typeof it === 'string' && /^[a-zA-Z][a-zA-Z0-9-]{0,63}$/.test(it) && !INHERITED.has(it);

export type ValueType = Value['type'];
/** The types a token can have. */
export type LiteralType = Exclude<ValueType, 'token' | 'role' | 'textStyle' | 'derived'>;
export const TOKEN_TYPES = [
  'color',
  'dimension',
  'number',
  'duration',
  'cubicBezier',
  'fontFamily',
  'shadow',
  'gradient',
] as const;
/** A `fluid` literal is a token of type dimension. */
export type TokenType = (typeof TOKEN_TYPES)[number];

export const keyword = (value: string): Value => ({ type: 'keyword', value });
export const role = (name: string): Value => ({ type: 'role', role: name });
export const token = (id: string): Value => ({ type: 'token', token: id });
export const dimension = (value: number, unit: LengthUnit): Value => ({
  type: 'dimension',
  value: { value, unit },
});

const isTokenType = (type: LiteralType): type is TokenType => TOKEN_TYPES.some(it => it === type);
/** Null where no token can hold such a literal. */
export const tokenTypeOf = (type: LiteralType): TokenType | null =>
  type === 'fluid' ? 'dimension' : isTokenType(type) ? type : null;

/** Colours that stand inside a value: of the layers of a shadow, of the stops of a gradient, on and over an image. */
export function colorsIn(value: Value): readonly Value[] {
  switch (value.type) {
    case 'shadow':
      return value.value.map(layer => layer.color);
    case 'gradient':
      return value.stops.map(stop => stop.color);
    case 'picture':
      return value.tint ? [value.tint.color] : [];
    case 'pattern':
      return value.tint ? [value.ink, value.tint.color] : [value.ink];
    default:
      return [];
  }
}

/** The same value with other colours inside; the very object where none differs. */
export function withColors(value: Value, other: (color: Value) => Value): Value {
  const swap = <T extends { color: Value }>(it: T): T => {
    const color = other(it.color);
    return color === it.color ? it : { ...it, color };
  };
  if (value.type === 'shadow') {
    const layers = value.value.map(swap);
    return layers.every((layer, i) => layer === value.value[i]) ? value : { ...value, value: layers };
  }
  if (value.type === 'gradient') {
    const stops = value.stops.map(swap);
    return stops.every((stop, i) => stop === value.stops[i]) ? value : { ...value, stops };
  }
  if (value.type === 'picture' || value.type === 'pattern') {
    const tint = value.tint && swap(value.tint);
    if (value.type === 'picture') return tint === value.tint ? value : { ...value, tint };
    const ink = other(value.ink);
    return tint === value.tint && ink === value.ink ? value : { ...value, ink, tint };
  }
  return value;
}

const NO_TOKENS: readonly string[] = [];

/** Ids of the tokens a value names, also inside shadows and derivations. */
export function tokensIn(value: Value): readonly string[] {
  switch (value.type) {
    case 'token':
      return [value.token];
    case 'derived':
      return value.derivation.from;
    case 'shadow':
    case 'gradient':
    case 'picture':
    case 'pattern':
      return colorsIn(value).flatMap(tokensIn);
    default:
      return NO_TOKENS;
  }
}

export const isLoose = (value: Value): boolean =>
  value.type === 'color' ||
  // Nothing at all is no step of a scale.
  (value.type === 'dimension' && value.value.value !== 0) ||
  value.type === 'fluid' ||
  value.type === 'shadow' ||
  // Of colours that all come from the guide, it holds nothing that could be another.
  (value.type === 'gradient' && value.stops.some(stop => isLoose(stop.color))) ||
  value.type === 'fontFamily';

/** The same value with other tokens in the place of those it names; the very object where none differs. */
export function withTokens(value: Value, other: (token: string) => string): Value {
  switch (value.type) {
    case 'token': {
      const token = other(value.token);
      return token === value.token ? value : { type: 'token', token };
    }
    case 'derived': {
      const from = value.derivation.from.map(other);
      return from.every((id, i) => id === value.derivation.from[i])
        ? value
        : { type: 'derived', derivation: { ...value.derivation, from } };
    }
    case 'shadow':
    case 'gradient':
    case 'picture':
    case 'pattern':
      return withColors(value, color => withTokens(color, other));
    default:
      return value;
  }
}
