import { atLightness } from './atLightness.ts';
import type { Color } from './color.ts';
import { convert } from './convert.ts';

/** OKLCH lightness of the two ends of a ramp: a ground that is almost white, an ink that is almost black. */
const LIGHTEST = 0.97;
const DARKEST = 0.2;

export interface Ramp {
  /** The lightest first; all but the input's own are OKLCH inside sRGB. */
  colors: readonly Color[];
  /** Index of the input, which is kept as it was written. */
  own: number;
}

/**
 * A row of `count` colours of one hue, the lightest first. Lightness moves in even steps in OKLCH on either side of the
 * input, which stands unaltered at the step nearest to its own lightness; chroma is the input's, or what the gamut allows.
 * `count` is a whole number of at least 2.
 */
export function ramp(color: Color, count: number): Ramp {
  const [l] = convert(color, 'oklch').coords;
  const last = count - 1;
  const light = Math.max(LIGHTEST, l);
  const dark = Math.min(DARKEST, l);
  const own = Math.round(((light - l) / (light - dark)) * last);
  const colors = Array.from({ length: count }, (_, i): Color => {
    if (i === own) return color;
    const lightness = i < own ? light + ((l - light) * i) / own : l + ((dark - l) * (i - own)) / (last - own);
    return atLightness(color, lightness);
  });
  return { colors, own };
}
