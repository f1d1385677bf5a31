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
