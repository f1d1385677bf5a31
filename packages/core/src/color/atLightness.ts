import type { Color } from './color.ts';
import { convert } from './convert.ts';
import { maxChroma } from './gamut.ts';

/** The same hue at another OKLCH lightness (0–1), with as much of its chroma as sRGB can show there. */
export function atLightness(color: Color, lightness: number): Color {
  const [, chroma, hue] = convert(color, 'oklch').coords;
  // A hair below the edge, so that rounding does not leave the gamut.
  const c = Math.min(chroma, maxChroma(lightness, hue) * 0.995);
  return { space: 'oklch', coords: [lightness, c, hue], alpha: color.alpha };
}
