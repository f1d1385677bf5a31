import type { Color, Triple } from './color.ts';
import { type Gamut, toGamut } from './gamut.ts';

const toByte = (v: number): number => Math.round(v * 255);

/**
 * What visitors see of a colour on a screen of some gamut: mapped into it (CSS Color 4, section 13.2) and rounded to 8 bits a
 * channel, alpha among them. Sheets are printed from this and contrast is measured on it, so that no browser is left to
 * choose. Answers in the gamut's own space.
 */
export function painted(color: Color, gamut: Gamut = 'srgb'): Color {
  const { coords, alpha } = toGamut(color, gamut);
  const [r, g, b] = coords;
  return {
    space: gamut,
    coords: [toByte(r) / 255, toByte(g) / 255, toByte(b) / 255],
    alpha: toByte(alpha) / 255,
  };
}

/** The three channels of what is painted, 0 to 255. */
export function paintedBytes(color: Color, gamut: Gamut = 'srgb'): Triple {
  const [r, g, b] = toGamut(color, gamut).coords;
  return [toByte(r), toByte(g), toByte(b)];
}

const hex = (byte: number): string => byte.toString(16).padStart(2, '0');

/** CSS text of what is painted: `#rrggbb`, or `#rrggbbaa` of what is see-through; `color(display-p3 …)` on wide screens. */
export function printPainted(color: Color, gamut: Gamut = 'srgb'): string {
  const bytes = paintedBytes(color, gamut);
  const alpha = toByte(color.alpha);
  if (gamut === 'srgb') return `#${bytes.map(hex).join('')}${alpha === 255 ? '' : hex(alpha)}`;
  const share = (byte: number) => Number((byte / 255).toFixed(5));
  return `color(${gamut} ${bytes.map(share).join(' ')}${alpha === 255 ? '' : ` / ${share(alpha)}`})`;
}
