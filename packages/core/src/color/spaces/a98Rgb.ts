import { type ColorSpace, each, type Matrix, multiply, power } from '../color.ts';

/** CSS Color 4, section 17, "Sample code for color conversions". */
const TO_XYZ: Matrix = [
  [573536 / 994567, 263643 / 1420810, 187206 / 994567],
  [591459 / 1989134, 6239551 / 9945670, 374412 / 4972835],
  [53769 / 1989134, 351524 / 4972835, 4929758 / 4972835],
];
const FROM_XYZ: Matrix = [
  [1829569 / 896150, -506331 / 896150, -308931 / 896150],
  [-851781 / 878810, 1648619 / 878810, 36519 / 878810],
  [16779 / 1248040, -147721 / 1248040, 1266979 / 1248040],
];
const GAMMA = 563 / 256;

export const a98Rgb: ColorSpace = {
  id: 'a98-rgb',
  base: 'xyz-d65',
  toBase: c => multiply(TO_XYZ, each(power(GAMMA), c)),
  fromBase: c => each(power(1 / GAMMA), multiply(FROM_XYZ, c)),
};
