import type { ColorSpace } from '../color.ts';

/** Transfer function of sRGB (CSS Color 4, section 10.2), odd-symmetric so that colours out of gamut survive. */
export const toLinear = (v: number): number => {
  const abs = Math.abs(v);
  return abs <= 0.04045 ? v / 12.92 : Math.sign(v) * ((abs + 0.055) / 1.055) ** 2.4;
};

export const fromLinear = (v: number): number => {
  const abs = Math.abs(v);
  return abs > 0.0031308 ? Math.sign(v) * (1.055 * abs ** (1 / 2.4) - 0.055) : 12.92 * v;
};

export const srgb: ColorSpace = {
  id: 'srgb',
  base: 'srgb-linear',
  toBase: ([r, g, b]) => [toLinear(r), toLinear(g), toLinear(b)],
  fromBase: ([r, g, b]) => [fromLinear(r), fromLinear(g), fromLinear(b)],
};
