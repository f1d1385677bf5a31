import { describe, expect, it } from '@jest/globals';
import { contrast, contrastTable, convert, inGamut, parseColor, ramp } from '../src/color/index.ts';
import { seeded } from './support/random.ts';

const random = seeded(11);
const any = () => ({
  space: 'srgb' as const,
  coords: [random.int(256) / 255, random.int(256) / 255, random.int(256) / 255] as const,
  alpha: 1,
});
const lightness = (color: Parameters<typeof convert>[0]) => convert(color, 'oklch').coords[0];

describe('a ramp, on 200 random colours of 5 to 15 steps', () => {
  const made = Array.from({ length: 200 }, () => {
    const color = any();
    const count = 5 + random.int(11);
    return { color, count, ...ramp(color, count) };
  });
  it('has as many steps as were asked for, and keeps the input at its own', () => {
    for (const { color, count, colors, own } of made) {
      expect(colors).toHaveLength(count);
      expect(colors[own]).toBe(color);
    }
  });
  it('stays inside what sRGB can show', () => {
    for (const { colors } of made) for (const color of colors) expect(inGamut(color)).toBe(true);
  });
  it('gets darker in even steps on either side of the input', () => {
    for (const { colors, own } of made) {
      const steps = colors.slice(1).map((color, i) => lightness(colors[i] ?? color) - lightness(color));
      for (const side of [steps.slice(0, own), steps.slice(own)]) {
        for (const step of side) expect(step).toBeGreaterThan(0);
        expect(Math.max(0, ...side) - Math.min(1, ...side)).toBeLessThan(1e-9 + (side.length === 0 ? 1 : 0));
      }
    }
  });
  it('keeps the hue', () => {
    const color = parseColor('#6f3b8c');
    if (!color) throw new Error('no colour');
    const [, , hue] = convert(color, 'oklch').coords;
    for (const step of ramp(color, 9).colors) expect(convert(step, 'oklch').coords[2]).toBeCloseTo(hue, 6);
  });
});

describe('the table of contrasts', () => {
  it('holds at every place what `contrast` says of the pair', () => {
    const colors = Array.from({ length: 12 }, any);
    const table = contrastTable(colors);
    for (const [i, a] of colors.entries())
      for (const [j, b] of colors.entries()) expect(table[i * 12 + j]).toBeCloseTo(contrast(a, b), 10);
  });
});
