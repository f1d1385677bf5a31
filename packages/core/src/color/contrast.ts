import type { Color } from './color.ts';
import { toSrgbGamut } from './gamut.ts';

/** WCAG 2.2, "relative luminance": 0 for black to 1 for white. */
export function luminance(color: Color): number {
  const [r, g, b] = toSrgbGamut(color).coords.map(v =>
    v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4,
  );
  return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
}

/** What shows when `top` lies on an opaque `below`: blended in sRGB, as browsers do. */
export function compositeOver(top: Color, below: Color): Color {
  const [r, g, b] = toSrgbGamut(top).coords;
  const [x, y, z] = toSrgbGamut(below).coords;
  const mix = (over: number, under: number) => over * top.alpha + under * (1 - top.alpha);
  return { space: 'srgb', coords: [mix(r, x), mix(g, y), mix(b, z)], alpha: 1 };
}

/** Contrast ratio of two relative luminances. */
export const ratioOf = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

/** WCAG 2.2, "contrast ratio": 1 to 21. A see-through text is first laid over the surface. */
export function contrast(text: Color, surface: Color): number {
  return ratioOf(luminance(text.alpha < 1 ? compositeOver(text, surface) : text), luminance(surface));
}
