import { ramp as rampOf, roundColor } from '../color/index.ts';
import { rule } from './derivation.ts';

/** One step of a ramp made of a colour, the lightest being the first. */
export const ramp = rule({
  op: 'ramp',
  label: 'Step of a ramp',
  type: 'color',
  from: ['color'],
  by: [
    { label: 'Step', share: false, min: 1, max: 20, start: 3 },
    { label: 'Of', share: false, min: 2, max: 20, start: 9 },
  ],
  compute: ([color], [step = 1, count = 9]) => {
    const whole = Math.round(count);
    const found = color?.type === 'color' ? rampOf(color.value, whole).colors[Math.round(step) - 1] : null;
    if (color?.type !== 'color' || !found) return null;
    return { type: 'color', value: found === color.value ? found : roundColor(found) };
  },
});
