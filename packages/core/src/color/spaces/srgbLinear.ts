import { type ColorSpace, type Matrix, multiply } from '../color.ts';

/** CSS Color 4, section 17, "Sample code for color conversions". */
const TO_XYZ: Matrix = [
  [506752 / 1228815, 87881 / 245763, 12673 / 70218],
  [87098 / 409605, 175762 / 245763, 12673 / 175545],
  [7918 / 409605, 87881 / 737289, 1001167 / 1053270],
];
const FROM_XYZ: Matrix = [
  [12831 / 3959, -329 / 214, -1974 / 3959],
  [-851781 / 878810, 1648619 / 878810, 36519 / 878810],
  [705 / 12673, -2585 / 12673, 705 / 667],
];

export const srgbLinear: ColorSpace = {
  id: 'srgb-linear',
  base: 'xyz-d65',
  toBase: c => multiply(TO_XYZ, c),
  fromBase: c => multiply(FROM_XYZ, c),
};
