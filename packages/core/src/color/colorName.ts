import type { Color } from './color.ts';
import { convert } from './convert.ts';

/** OKLCH hue in degrees up to which each plain word is used; common words, no source. */
const HUES: readonly (readonly [number, string])[] = [
  [12, 'pink'],
  [38, 'red'],
  [62, 'orange'],
  [85, 'amber'],
  [112, 'yellow'],
  [132, 'lime'],
  [162, 'green'],
  [192, 'teal'],
  [225, 'cyan'],
  [268, 'blue'],
  [290, 'indigo'],
  [315, 'violet'],
  [345, 'magenta'],
  [360, 'pink'],
];
const DEPTHS: readonly (readonly [number, string])[] = [
  [0.3, 'dark'],
  [0.46, 'deep'],
  [0.74, ''],
  [0.86, 'light'],
  [1.01, 'pale'],
];
/** Below this OKLCH chroma a colour reads as a grey. */
const GREY = 0.018;

/** A plain English name to begin with: `Deep blue`, `Pale grey`. */
export function colorName(color: Color): string {
  const [l, chroma, hue] = convert(color, 'oklch').coords;
  const grey = chroma < GREY;
  if (grey && l > 0.985) return 'White';
  if (grey && l < 0.12) return 'Black';
  const word = grey ? 'grey' : (HUES.find(([to]) => hue <= to)?.[1] ?? 'pink');
  const depth = DEPTHS.find(([to]) => l < to)?.[1] ?? 'pale';
  const name = `${depth} ${word}`.trim();
  return name.charAt(0).toUpperCase() + name.slice(1);
}
