import { atLightness, type Color, convert, mix, roundColor } from '../color/index.ts';
import type { Value } from '../values/index.ts';
import { rule } from './derivation.ts';

const WHITE: Color = { space: 'oklch', coords: [1, 0, 0], alpha: 1 };
const BLACK: Color = { space: 'oklch', coords: [0, 0, 0], alpha: 1 };
const share = (label: string, start: number) => ({ label, share: true, min: 0, max: 1, start });
const color = (value: Value | undefined, make: (color: Color) => Color): Value | null =>
  value?.type === 'color' ? { type: 'color', value: roundColor(make(value.value)) } : null;

export const tint = rule({
  op: 'tint',
  label: 'Tint',
  type: 'color',
  from: ['color'],
  by: [share('White', 0.2)],
  compute: ([a], [by = 0]) => color(a, c => mix(c, WHITE, by)),
});
export const shade = rule({
  op: 'shade',
  label: 'Shade',
  type: 'color',
  from: ['color'],
  by: [share('Black', 0.2)],
  compute: ([a], [by = 0]) => color(a, c => mix(c, BLACK, by)),
});
export const blend = rule({
  op: 'mix',
  label: 'Mix',
  type: 'color',
  from: ['color', 'color'],
  by: [share('Of the second', 0.5)],
  compute: ([a, b], [by = 0]) => (b?.type === 'color' ? color(a, c => mix(c, b.value, by)) : null),
});
export const alpha = rule({
  op: 'alpha',
  label: 'See-through',
  type: 'color',
  from: ['color'],
  by: [share('Opacity', 0.5)],
  compute: ([a], [by = 1]) => color(a, c => ({ ...c, alpha: Math.round(c.alpha * by * 10000) / 10000 })),
});
/** A step lighter or darker than what it follows, wherever that goes. */
export const shift = rule({
  op: 'shift',
  label: 'Lighter or darker',
  type: 'color',
  from: ['color'],
  by: [{ label: 'Lightness by', share: true, min: -1, max: 1, start: -0.06 }],
  compute: ([a], [by = 0]) =>
    color(a, c => {
      const [l] = convert(c, 'oklch').coords;
      return atLightness(c, Math.min(1, Math.max(0, l + by)));
    }),
});
export const lightness = rule({
  op: 'lightness',
  label: 'Lightness',
  type: 'color',
  from: ['color'],
  by: [share('Lightness', 0.5)],
  compute: ([a], [by = 0]) => color(a, c => atLightness(c, by)),
});
