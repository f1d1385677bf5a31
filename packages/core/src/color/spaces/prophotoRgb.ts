import { type ColorSpace, each, type Matrix, multiply } from '../color.ts';

/** CSS Color 4, section 17, "Sample code for color conversions"; relative to the white of D50. */
const TO_XYZ: Matrix = [
  [0.7977666449006423, 0.13518129740053308, 0.0313477341283922],
  [0.2880748288194013, 0.711835234241873, 0.00008993693872564],
  [0, 0, 0.8251046025104602],
];
const FROM_XYZ: Matrix = [
  [1.3457868816471583, -0.25557208737979464, -0.05110186497554526],
  [-0.5446307051249019, 1.5082477428451468, 0.02052744743642139],
  [0, 0, 1.2119675456389452],
];
const toLinear = (v: number) => (Math.abs(v) <= 16 / 512 ? v / 16 : Math.sign(v) * Math.abs(v) ** 1.8);
const fromLinear = (v: number) => (Math.abs(v) >= 1 / 512 ? Math.sign(v) * Math.abs(v) ** (1 / 1.8) : 16 * v);

export const prophotoRgb: ColorSpace = {
  id: 'prophoto-rgb',
  base: 'xyz-d50',
  toBase: c => multiply(TO_XYZ, each(toLinear, c)),
  fromBase: c => each(fromLinear, multiply(FROM_XYZ, c)),
};
