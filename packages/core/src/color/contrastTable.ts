import type { Color } from './color.ts';
import { luminance, ratioOf } from './contrast.ts';

/** Contrast of every pair of opaque colours, row by row: `table[i * n + j]`. */
export function contrastTable(colors: readonly Color[]): Float64Array {
  const n = colors.length;
  const levels = Float64Array.from(colors, color => luminance(color));
  const table = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    const a = levels[i] ?? 0;
    for (let j = i; j < n; j++) {
      const ratio = ratioOf(a, levels[j] ?? 0);
      table[i * n + j] = ratio;
      table[j * n + i] = ratio;
    }
  }
  return table;
}
