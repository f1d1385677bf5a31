import type { Color, Triple } from './color.ts';
import { convert } from './convert.ts';

const SLACK = 1e-5;

export const inSrgbGamut = (color: Color): boolean =>
  convert(color, 'srgb').coords.every(v => v >= -SLACK && v <= 1 + SLACK);

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

/** CSS Color 4, section 13.2: lowers chroma in OKLCH until clipping is not noticeable. Answers in srgb. */
export function toSrgbGamut(color: Color): Color {
  const rgb = convert(color, 'srgb');
  if (inSrgbGamut(rgb)) return { ...rgb, coords: clip(rgb.coords) };
  const [l, c, h] = convert(color, 'oklch').coords;
  if (l >= 1) return { space: 'srgb', coords: [1, 1, 1], alpha: color.alpha };
  if (l <= 0) return { space: 'srgb', coords: [0, 0, 0], alpha: color.alpha };
  const at = (chroma: number): Color => ({ space: 'oklch', coords: [l, chroma, h], alpha: color.alpha });
  const clipped = (it: Color): Color => ({
    space: 'srgb',
    coords: clip(convert(it, 'srgb').coords),
    alpha: color.alpha,
  });
  let best = clipped(at(c));
  if (deltaEOK(best, at(c)) < 0.02) return best;
  let low = 0;
  let high = c;
  let lowInGamut = true;
  while (high - low > 0.0001) {
    const chroma = (low + high) / 2;
    const current = at(chroma);
    if (lowInGamut && inSrgbGamut(current)) {
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

/** The largest OKLCH chroma that sRGB can show at this lightness (0–1) and hue (degrees). */
export function maxChroma(lightness: number, hue: number): number {
  let low = 0;
  let high = 0.4;
  for (let i = 0; i < 16; i++) {
    const mid = (low + high) / 2;
    if (inSrgbGamut({ space: 'oklch', coords: [lightness, mid, hue], alpha: 1 })) low = mid;
    else high = mid;
  }
  return low;
}
