import type { Color } from './color.ts';
import { convert } from './convert.ts';

/** Below this chroma a hue says nothing (CSS Color 4, section 4.4 "powerless"). */
const POWERLESS = 4e-6;

/** `color-mix(in oklch, a (1 - share), b share)` of CSS Color 5: shorter hue arc, premultiplied alpha. */
export function mix(a: Color, b: Color, share: number): Color {
  const [l1, c1, h1] = convert(a, 'oklch').coords;
  const [l2, c2, h2] = convert(b, 'oklch').coords;
  const alpha = a.alpha + (b.alpha - a.alpha) * share;
  const blend = (x: number, y: number) =>
    alpha === 0 ? x + (y - x) * share : (x * a.alpha * (1 - share) + y * b.alpha * share) / alpha;
  const from = c1 < POWERLESS ? h2 : h1;
  const to = c2 < POWERLESS ? from : h2;
  const arc = ((to - from + 540) % 360) - 180;
  return {
    space: 'oklch',
    coords: [blend(l1, l2), blend(c1, c2), (((from + arc * share) % 360) + 360) % 360],
    alpha,
  };
}
