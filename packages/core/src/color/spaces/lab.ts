import { type ColorSpace, type Matrix, multiply } from '../color.ts';

/** Bradford adaptation and D50 white of CSS Color 4, section 17. */
const D65_TO_D50: Matrix = [
  [1.0479297925449969, 0.022946870601609652, -0.05019226628920524],
  [0.02962780877005599, 0.9904344267538799, -0.017073799063418826],
  [-0.009243040646204504, 0.015055191490298152, 0.7518742814281371],
];
const D50_TO_D65: Matrix = [
  [0.955473421488075, -0.02309845494876471, 0.06325924320057072],
  [-0.0283697093338637, 1.0099953980813041, 0.021041441191917323],
  [0.012314014864481998, -0.020507649298898964, 1.330365926242124],
];
const WHITE = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585] as const;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

export const lab: ColorSpace = {
  id: 'lab',
  base: 'xyz-d65',
  toBase([l, a, b]) {
    const fy = (l + 16) / 116;
    const fx = a / 500 + fy;
    const fz = fy - b / 200;
    return multiply(D50_TO_D65, [
      (fx ** 3 > EPSILON ? fx ** 3 : (116 * fx - 16) / KAPPA) * WHITE[0],
      (l > KAPPA * EPSILON ? fy ** 3 : l / KAPPA) * WHITE[1],
      (fz ** 3 > EPSILON ? fz ** 3 : (116 * fz - 16) / KAPPA) * WHITE[2],
    ]);
  },
  fromBase(xyz) {
    const d50 = multiply(D65_TO_D50, xyz);
    const f = (v: number) => (v > EPSILON ? Math.cbrt(v) : (KAPPA * v + 16) / 116);
    const fx = f(d50[0] / WHITE[0]);
    const fy = f(d50[1] / WHITE[1]);
    const fz = f(d50[2] / WHITE[2]);
    return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
  },
};
