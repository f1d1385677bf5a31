import type { Color } from './color.ts';

/** Shortest decimal text that reads back as the same number, without an exponent. */
export const printNumber = (n: number): string => {
  if (Object.is(n, -0)) return '0';
  const text = String(n);
  return text.includes('e') ? n.toFixed(12).replace(/\.?0+$/, '') : text;
};

const byte = (v: number) =>
  Math.round(v * 255)
    .toString(16)
    .padStart(2, '0');
const isByte = (v: number) => v >= 0 && v <= 1 && Math.abs(v * 255 - Math.round(v * 255)) < 1e-9;

/** CSS text in the space the colour was written in; sRGB on whole bytes is written `#rrggbb`. */
export function printColor({ space, coords, alpha }: Color): string {
  const [a, b, c] = coords;
  const n = printNumber;
  const slash = alpha === 1 ? '' : ` / ${n(alpha)}`;
  switch (space) {
    case 'srgb':
      if (coords.every(isByte) && (alpha === 1 || isByte(alpha)))
        return `#${byte(a)}${byte(b)}${byte(c)}${alpha === 1 ? '' : byte(alpha)}`;
      return `color(srgb ${n(a)} ${n(b)} ${n(c)}${slash})`;
    case 'hsl':
    case 'hwb':
      return `${space}(${n(a)} ${n(b)}% ${n(c)}%${slash})`;
    case 'lab':
    case 'lch':
    case 'oklab':
    case 'oklch':
      return `${space}(${n(a)} ${n(b)} ${n(c)}${slash})`;
    default:
      return `color(${space} ${n(a)} ${n(b)} ${n(c)}${slash})`;
  }
}

/** Rounded so that dragging leaves short values: four decimals for unit ranges, two for degrees and per cent. */
export function roundColor(color: Color): Color {
  const wide = (v: number) => Math.round(v * 100) / 100;
  const fine = (v: number) => Math.round(v * 10000) / 10000;
  const [a, b, c] = color.coords;
  switch (color.space) {
    case 'oklch':
      return { ...color, coords: [fine(a), fine(b), wide(c)] };
    case 'hsl':
    case 'hwb':
    case 'lab':
    case 'lch':
      return { ...color, coords: [wide(a), wide(b), wide(c)] };
    default:
      return { ...color, coords: [fine(a), fine(b), fine(c)] };
  }
}
