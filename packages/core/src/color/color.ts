export type Triple = readonly [number, number, number];

/** Spaces as CSS Color 4 names them; coordinates in that specification's ranges (srgb 0–1, hsl in degrees and per cent, lab L 0–100, oklab L 0–1). */
export type ColorSpaceId =
  | 'srgb'
  | 'srgb-linear'
  | 'display-p3'
  | 'a98-rgb'
  | 'prophoto-rgb'
  | 'rec2020'
  | 'hsl'
  | 'hwb'
  | 'lab'
  | 'lch'
  | 'oklab'
  | 'oklch'
  | 'xyz-d50'
  | 'xyz-d65';

/** A colour in the space it was written in. */
export interface Color {
  space: ColorSpaceId;
  coords: Triple;
  /** 0 (clear) to 1 (opaque). */
  alpha: number;
}

/** How a space is reached from its base; every chain of bases ends in xyz-d65. */
export interface ColorSpace {
  id: ColorSpaceId;
  base: ColorSpaceId;
  toBase(coords: Triple): Triple;
  fromBase(coords: Triple): Triple;
}

export type Matrix = readonly [Triple, Triple, Triple];

export const multiply = (m: Matrix, [a, b, c]: Triple): Triple => [
  m[0][0] * a + m[0][1] * b + m[0][2] * c,
  m[1][0] * a + m[1][1] * b + m[1][2] * c,
  m[2][0] * a + m[2][1] * b + m[2][2] * c,
];

/** Rectangular to polar as CSS Color 4 section 9 has it: [L, C, h in degrees 0–360]. */
export function toPolar([l, a, b]: Triple): Triple {
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return [l, Math.hypot(a, b), hue < 0 ? hue + 360 : hue];
}

export const fromPolar = ([l, c, h]: Triple): Triple => [
  l,
  c * Math.cos((h * Math.PI) / 180),
  c * Math.sin((h * Math.PI) / 180),
];

/** The same function of each coordinate. */
export const each = (f: (v: number) => number, [a, b, c]: Triple): Triple => [f(a), f(b), f(c)];

/** A power that keeps the sign, for coordinates below 0 (colours outside the gamut). */
export const power = (exponent: number) => (v: number) => Math.sign(v) * Math.abs(v) ** exponent;
