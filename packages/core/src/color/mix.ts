import type { Color } from './color.ts';
import { convert } from './convert.ts';
import { coordsOf, interpolate, type Partial3 } from './interpolate.ts';

/** Below this chroma a hue says nothing (CSS Color 4, section 4.4 "powerless"). */
export const POWERLESS = 4e-6;

const inOklch = (color: Color): Partial3 => {
  const { coords, alpha } = convert(color, 'oklch');
  const [l, c, h] = coords;
  return { space: 'oklch', coords: [l, c, c < POWERLESS ? null : h], alpha };
};

/** `color-mix(in oklch, a (1 - share), b share)` of CSS Color 5: shorter hue arc, premultiplied alpha. */
export function mix(a: Color, b: Color, share: number): Color {
  const mixed = interpolate(inOklch(a), inOklch(b), share);
  return { space: 'oklch', coords: coordsOf(mixed), alpha: mixed.alpha ?? 1 };
}
