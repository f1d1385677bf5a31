import { scaleStep } from '../type/index.ts';
import type { Length, Value } from '../values/index.ts';
import { rule } from './derivation.ts';

const grow = (value: Value | undefined, by: (n: number) => number): Value | null => {
  const length = ({ value: n, unit }: Length): Length => ({ value: by(n), unit });
  if (value?.type === 'dimension') return { type: 'dimension', value: length(value.value) };
  if (value?.type === 'fluid') return { type: 'fluid', min: length(value.min), max: length(value.max) };
  return null;
};
const round = (n: number) => Number(n.toFixed(4));

/** A step of the type scale: base × ratio^step. */
export const step = rule({
  op: 'step',
  label: 'Step of a scale',
  type: 'dimension',
  from: ['dimension', 'number'],
  by: [{ label: 'Step', share: false, min: -8, max: 16, start: 1 }],
  compute: ([base, ratio], [by = 0]) =>
    ratio?.type === 'number' ? grow(base, n => scaleStep(n, ratio.value, by)) : null,
});
export const times = rule({
  op: 'times',
  label: 'Times',
  type: 'dimension',
  from: ['dimension'],
  by: [{ label: 'Factor', share: false, min: -100, max: 100, start: 2 }],
  compute: ([base], [by = 1]) => grow(base, n => round(n * by)),
});
