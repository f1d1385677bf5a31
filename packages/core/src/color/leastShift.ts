import { atLightness } from './atLightness.ts';
import type { Color } from './color.ts';
import { luminance, ratioOf } from './contrast.ts';
import { convert } from './convert.ts';
import { roundColor } from './printColor.ts';

const STEPS = 24;

/**
 * The colour of the same hue nearest in lightness that has the wanted contrast on all grounds (given by their relative
 * luminance); the very colour where it has it already, null where none has. Contrast grows with the distance in lightness
 * on either side of the grounds, so each side is searched by halving.
 */
export function leastShift(color: Color, grounds: readonly number[], wanted: number): Color | null {
  const passes = (it: Color) => {
    // As it will be written down.
    const level = luminance(it === color ? it : roundColor(it));
    return grounds.every(ground => ratioOf(level, ground) >= wanted);
  };
  if (passes(color)) return color;
  const [own] = convert(color, 'oklch').coords;
  const candidates = [0, 1].flatMap(end => {
    if (!passes(atLightness(color, end))) return [];
    let [bad, good] = [own, end];
    for (let i = 0; i < STEPS; i++) {
      const middle = (bad + good) / 2;
      if (passes(atLightness(color, middle))) good = middle;
      else bad = middle;
    }
    // Rounded outwards to a tenth of a per cent, so that what is written down passes too.
    const outwards = end === 0 ? Math.floor(good * 1000) / 1000 : Math.ceil(good * 1000) / 1000;
    return passes(atLightness(color, outwards)) ? [outwards] : [];
  });
  const nearest = candidates.sort((a, b) => Math.abs(a - own) - Math.abs(b - own))[0];
  return nearest === undefined ? null : atLightness(color, nearest);
}
