import type { Color } from './color.ts';
import type { Gamut } from './gamut.ts';
import { painted, paintedBytes } from './painted.ts';

/** WCAG 2.2, "relative luminance": the linear value of one of 256 steps of a channel; Display P3 has the same curve. */
const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => {
  const v = byte / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});
/** What each primary adds to luminance: WCAG 2.2 for sRGB; of Display P3 the second row of its matrix to XYZ (CSS Color 4, section 17). */
const SHARES: Readonly<Record<Gamut, readonly [number, number, number]>> = {
  srgb: [0.2126, 0.7152, 0.0722],
  'display-p3': [35783 / 156275, 247089 / 357200, 198249 / 2500400],
};

/** WCAG 2.2, "relative luminance" of the colour as it is painted: 0 for black to 1 for white. */
export function luminance(color: Color, gamut: Gamut = 'srgb'): number {
  const [r, g, b] = paintedBytes(color, gamut);
  const [red, green, blue] = SHARES[gamut];
  return red * (LINEAR[r] ?? 0) + green * (LINEAR[g] ?? 0) + blue * (LINEAR[b] ?? 0);
}

/** What shows when `top` lies on an opaque `below`: blended in the space of the screen, as browsers do. */
export function compositeOver(top: Color, below: Color, gamut: Gamut = 'srgb'): Color {
  const { coords, alpha } = painted(top, gamut);
  const [r, g, b] = coords;
  const [x, y, z] = painted(below, gamut).coords;
  const mix = (over: number, under: number) => over * alpha + under * (1 - alpha);
  return { space: gamut, coords: [mix(r, x), mix(g, y), mix(b, z)], alpha: 1 };
}

/** Contrast ratio of two relative luminances. */
export const ratioOf = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

/** WCAG 2.2, "contrast ratio" of the colours as they are painted: 1 to 21. A see-through text is first laid over the surface. */
export function contrast(text: Color, surface: Color, gamut: Gamut = 'srgb'): number {
  const seen = text.alpha < 1 ? compositeOver(text, surface, gamut) : text;
  return ratioOf(luminance(seen, gamut), luminance(surface, gamut));
}

/** A ratio as people read it, never rounded up: what is below a threshold is not shown as reaching it. */
export const printRatio = (ratio: number): string => (Math.floor(ratio * 100 + 1e-9) / 100).toFixed(2);
