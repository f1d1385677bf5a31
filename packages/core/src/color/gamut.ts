import type { Color, Triple } from './color.ts';
import { convert } from './convert.ts';

/** The colours that a kind of screen can show, by the space whose coordinates from 0 to 1 hold them. */
export type Gamut = 'srgb' | 'display-p3';

const SLACK = 1e-5;

export const inGamut = (color: Color, gamut: Gamut = 'srgb'): boolean =>
  convert(color, gamut).coords.every(v => v >= -SLACK && v <= 1 + SLACK);

const clip = ([r, g, b]: Triple): Triple => {
  const c = (v: number) => Math.min(1, Math.max(0, v));
  return [c(r), c(g), c(b)];
};

/** Distance in OKLab, the ΔE that CSS Color 4 section 13 maps with; just noticeable at 0.02. */
export function deltaEOK(a: Color, b: Color): number {
  const [l1, a1, b1] = convert(a, 'oklab').coords;
  const [l2, a2, b2] = convert(b, 'oklab').coords;
  return Math.hypot(l1 - l2, a1 - a2, b1 - b2);
}

/** CSS Color 4, section 13.2: lowers chroma in OKLCH until clipping is not noticeable. Answers in the gamut's own space. */
export function toGamut(color: Color, gamut: Gamut = 'srgb'): Color {
  const { alpha } = color;
  const rgb = convert(color, gamut);
  if (inGamut(rgb, gamut)) return { ...rgb, coords: clip(rgb.coords) };
  const [l, c, h] = convert(color, 'oklch').coords;
  if (l >= 1) return { space: gamut, coords: [1, 1, 1], alpha };
  if (l <= 0) return { space: gamut, coords: [0, 0, 0], alpha };
  const at = (chroma: number): Color => ({ space: 'oklch', coords: [l, chroma, h], alpha });
  const clipped = (it: Color): Color => ({
    space: gamut,
    coords: clip(convert(it, gamut).coords),
    alpha,
  });
  let best = clipped(at(c));
  if (deltaEOK(best, at(c)) < 0.02) return best;
  let low = 0;
  let high = c;
  let lowInGamut = true;
  while (high - low > 0.0001) {
    const chroma = (low + high) / 2;
    const current = at(chroma);
    if (lowInGamut && inGamut(current, gamut)) {
      low = chroma;
      continue;
    }
    best = clipped(current);
    const distance = deltaEOK(best, current);
    if (distance < 0.02) {
      if (0.02 - distance < 0.0001) return best;
      lowInGamut = false;
      low = chroma;
    } else high = chroma;
  }
  return best;
}

/** The largest OKLCH chroma that a gamut holds at this lightness (0–1) and hue (degrees). */
export function maxChroma(lightness: number, hue: number, gamut: Gamut = 'srgb'): number {
  let low = 0;
  let high = 0.4;
  for (let i = 0; i < 16; i++) {
    const mid = (low + high) / 2;
    if (inGamut({ space: 'oklch', coords: [lightness, mid, hue], alpha: 1 }, gamut)) low = mid;
    else high = mid;
  }
  return low;
}
