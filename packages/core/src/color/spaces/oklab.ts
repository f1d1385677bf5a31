import { type ColorSpace, type Matrix, multiply } from '../color.ts';

/** CSS Color 4, section 17, "Sample code for color conversions" (OKLab, D65). */
const XYZ_TO_LMS: Matrix = [
  [0.819022437996703, 0.3619062600528904, -0.1288737815209879],
  [0.0329836539323885, 0.9292868615863434, 0.0361446663506424],
  [0.0481771893596242, 0.2642395317527308, 0.6335478284694309],
];
const LMS_TO_XYZ: Matrix = [
  [1.2268798758459243, -0.5578149944602171, 0.2813910456659647],
  [-0.0405757452148008, 1.112286803280317, -0.0717110580655164],
  [-0.0763729366746601, -0.4214933324022432, 1.5869240198367816],
];
const LMS_TO_LAB: Matrix = [
  [0.210454268309314, 0.7936177747023054, -0.0040720430116193],
  [1.9779985324311684, -2.4285922420485799, 0.450593709617411],
  [0.0259040424655478, 0.7827717124575296, -0.8086757549230774],
];
const LAB_TO_LMS: Matrix = [
  [1, 0.3963377773761749, 0.2158037573099136],
  [1, -0.1055613458156586, -0.0638541728258133],
  [1, -0.0894841775298119, -1.2914855480194092],
];

export const oklab: ColorSpace = {
  id: 'oklab',
  base: 'xyz-d65',
  toBase(c) {
    const [l, m, s] = multiply(LAB_TO_LMS, c);
    return multiply(LMS_TO_XYZ, [l ** 3, m ** 3, s ** 3]);
  },
  fromBase(c) {
    const [l, m, s] = multiply(XYZ_TO_LMS, c);
    return multiply(LMS_TO_LAB, [Math.cbrt(l), Math.cbrt(m), Math.cbrt(s)]);
  },
};
