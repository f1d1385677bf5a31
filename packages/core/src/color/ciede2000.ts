import type { Color, Triple } from './color.ts';
import { convert } from './convert.ts';

const RADIANS = Math.PI / 180;
const POW25_7 = 25 ** 7;

/**
 * CIEDE2000 colour difference of two CIELAB colours, all weights 1 (Sharma, Wu, Dalal, "The CIEDE2000 color-difference
 * formula", Color Research and Application 30 (2005), equations 2 to 22). 1 is about what can just be told apart.
 */
export function ciede2000([l1, a1, b1]: Triple, [l2, a2, b2]: Triple): number {
  const meanChroma7 = ((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2) ** 7;
  const g = 1 + 0.5 * (1 - Math.sqrt(meanChroma7 / (meanChroma7 + POW25_7)));
  const x1 = a1 * g;
  const x2 = a2 * g;
  const c1 = Math.sqrt(x1 * x1 + b1 * b1);
  const c2 = Math.sqrt(x2 * x2 + b2 * b2);
  const hue = (x: number, b: number) => {
    if (x === 0 && b === 0) return 0;
    const h = Math.atan2(b, x) / RADIANS;
    return h < 0 ? h + 360 : h;
  };
  const h1 = hue(x1, b1);
  const h2 = hue(x2, b2);

  const grey = c1 * c2 === 0;
  const apart = h2 - h1;
  const turn = grey ? 0 : apart > 180 ? apart - 360 : apart < -180 ? apart + 360 : apart;
  const dL = l2 - l1;
  const dC = c2 - c1;
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((turn / 2) * RADIANS);

  const sum = h1 + h2;
  const meanH = grey ? sum : Math.abs(apart) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
  const t =
    1 -
    0.17 * Math.cos((meanH - 30) * RADIANS) +
    0.24 * Math.cos(2 * meanH * RADIANS) +
    0.32 * Math.cos((3 * meanH + 6) * RADIANS) -
    0.2 * Math.cos((4 * meanH - 63) * RADIANS);
  const meanL = (l1 + l2) / 2 - 50;
  const meanC = (c1 + c2) / 2;
  const meanC7 = meanC ** 7;
  const sL = 1 + (0.015 * meanL * meanL) / Math.sqrt(20 + meanL * meanL);
  const sC = 1 + 0.045 * meanC;
  const sH = 1 + 0.015 * meanC * t;
  const away = (meanH - 275) / 25;
  const rT = -2 * Math.sqrt(meanC7 / (meanC7 + POW25_7)) * Math.sin(60 * Math.exp(-(away * away)) * RADIANS);
  const [l, c, h] = [dL / sL, dC / sC, dH / sH];
  return Math.sqrt(l * l + c * c + h * h + rT * c * h);
}

/** CIELAB as CSS has it, relative to D50: what `distance` measures in. */
export const labOf = (color: Color): Triple => convert(color, 'lab').coords;

/** CIEDE2000 in CIELAB D50; alpha is not looked at. */
export const distance = (a: Color, b: Color): number => ciede2000(labOf(a), labOf(b));
