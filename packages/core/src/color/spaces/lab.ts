import type { ColorSpace } from '../color.ts';

/** CSS Color 4, section 17: relative to the white of D50. */
const WHITE = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585] as const;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

export const lab: ColorSpace = {
  id: 'lab',
  base: 'xyz-d50',
  toBase([l, a, b]) {
    const fy = (l + 16) / 116;
    const fx = a / 500 + fy;
    const fz = fy - b / 200;
    return [
      (fx ** 3 > EPSILON ? fx ** 3 : (116 * fx - 16) / KAPPA) * WHITE[0],
      (l > KAPPA * EPSILON ? fy ** 3 : l / KAPPA) * WHITE[1],
      (fz ** 3 > EPSILON ? fz ** 3 : (116 * fz - 16) / KAPPA) * WHITE[2],
    ];
  },
  fromBase(d50) {
    const f = (v: number) => (v > EPSILON ? Math.cbrt(v) : (KAPPA * v + 16) / 116);
    const fx = f(d50[0] / WHITE[0]);
    const fy = f(d50[1] / WHITE[1]);
    const fz = f(d50[2] / WHITE[2]);
    return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
  },
};
