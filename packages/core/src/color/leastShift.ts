import { atLightness } from './atLightness.ts';
import type { Color } from './color.ts';
import { convert } from './convert.ts';
import { roundColor } from './printColor.ts';

const STEPS = 14;

/**
 * The colour of the same hue nearest in lightness that passes, as it is written down; the very colour where it does already,
 * null where none does. What passes has to go on passing towards black or towards white, as contrast on grounds does: so
 * each side is searched by halving.
 */
export function leastShift(color: Color, passes: (it: Color) => boolean): Color | null {
  if (passes(color)) return color;
  const at = (lightness: number): Color => roundColor(atLightness(color, lightness));
  const [own] = convert(color, 'oklch').coords;
  const candidates = [0, 1].flatMap(end => {
    if (!passes(at(end))) return [];
    let [bad, good] = [own, end];
    for (let i = 0; i < STEPS; i++) {
      const middle = (bad + good) / 2;
      if (passes(at(middle))) good = middle;
      else bad = middle;
    }
    // Rounded outwards to a tenth of a per cent, and on until what is painted of it passes as well.
    const first = end === 0 ? Math.floor(good * 1000) : Math.ceil(good * 1000);
    for (let n = first; n >= 0 && n <= 1000; n += end === 0 ? -1 : 1)
      if (passes(at(n / 1000))) return [n / 1000];
    return [];
  });
  const nearest = candidates.sort((a, b) => Math.abs(a - own) - Math.abs(b - own))[0];
  return nearest === undefined ? null : at(nearest);
}
