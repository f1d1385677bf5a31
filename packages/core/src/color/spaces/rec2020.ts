import { type ColorSpace, each, type Matrix, multiply, power } from '../color.ts';

/** CSS Color 4, section 17, "Sample code for color conversions". */
const TO_XYZ: Matrix = [
  [63426534 / 99577255, 20160776 / 139408157, 47086771 / 278816314],
  [26158966 / 99577255, 472592308 / 697040785, 8267143 / 139408157],
  [0, 19567812 / 697040785, 295819943 / 278816314],
];
const FROM_XYZ: Matrix = [
  [30757411 / 17917100, -6372589 / 17917100, -4539589 / 17917100],
  [-19765991 / 29648200, 47925759 / 29648200, 467509 / 29648200],
  [792561 / 44930125, -1921689 / 44930125, 42328811 / 44930125],
];
/** Display-referred, as BT.1886 and CSS Color 4 since 2025 have it. */
const GAMMA = 2.4;

export const rec2020: ColorSpace = {
  id: 'rec2020',
  base: 'xyz-d65',
  toBase: c => multiply(TO_XYZ, each(power(GAMMA), c)),
  fromBase: c => each(power(1 / GAMMA), multiply(FROM_XYZ, c)),
};
