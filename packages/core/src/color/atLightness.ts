import type { Color } from './color.ts';
import { convert } from './convert.ts';
import { inGamut, maxChroma } from './gamut.ts';

/** A hair below the edge of the gamut, so that rounding does not leave it. */
const HAIR = 0.995;

/** The same hue at another OKLCH lightness (0–1), with as much of its chroma as sRGB can show there. */
export function atLightness(color: Color, lightness: number): Color {
  const [, chroma, hue] = convert(color, 'oklch').coords;
  const at = (c: number): Color => ({ space: 'oklch', coords: [lightness, c, hue], alpha: color.alpha });
  if (inGamut(at(chroma / HAIR))) return at(chroma);
  return at(Math.min(chroma, maxChroma(lightness, hue) * HAIR));
}
