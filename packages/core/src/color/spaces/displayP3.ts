import { type ColorSpace, each, type Matrix, multiply } from '../color.ts';
import { fromLinear, toLinear } from './srgb.ts';

/** CSS Color 4, section 17, "Sample code for color conversions". */
const TO_XYZ: Matrix = [
  [608311 / 1250200, 189793 / 714400, 198249 / 1000160],
  [35783 / 156275, 247089 / 357200, 198249 / 2500400],
  [0, 32229 / 714400, 5220557 / 5000800],
];
const FROM_XYZ: Matrix = [
  [446124 / 178915, -333277 / 357830, -72051 / 178915],
  [-14852 / 17905, 63121 / 35810, 423 / 17905],
  [11844 / 330415, -50337 / 660830, 316169 / 330415],
];
export const displayP3: ColorSpace = {
  id: 'display-p3',
  base: 'xyz-d65',
  toBase: c => multiply(TO_XYZ, each(toLinear, c)),
  fromBase: c => each(fromLinear, multiply(FROM_XYZ, c)),
};
