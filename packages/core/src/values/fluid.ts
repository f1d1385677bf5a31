import { printNumber } from '../color/index.ts';
import type { Length } from './value.ts';

/** The viewport widths in px between which fluid sizes grow. */
export interface FluidRange {
  from: number;
  to: number;
}

/** What 1rem is taken for when px and rem meet: the browsers' own default. */
export const REM = 16;
const inRem = ({ value, unit }: Length) => (unit === 'px' ? value / REM : value);
const round = (n: number) => Number(n.toFixed(4));

/**
 * A size that is `min` at the least viewport width, `max` at the most, and straight between:
 * `clamp(min, intercept + slope × 100vw, max)`. Sizes stay in rem, so that zooming text works (WCAG 2.2, 1.4.4).
 */
export function printFluid(min: Length, max: Length, range: FluidRange, viewportUnit = '1vw'): string {
  const low = inRem(min);
  const high = inRem(max);
  if (low === high) return `${printNumber(round(low))}rem`;
  const slope = (high - low) / ((range.to - range.from) / REM);
  const intercept = round(low - slope * (range.from / REM));
  const share = round(slope * 100);
  const grow = viewportUnit === '1vw' ? `${printNumber(share)}vw` : `${printNumber(share)} * ${viewportUnit}`;
  const [least, most] = [round(Math.min(low, high)), round(Math.max(low, high))];
  return `clamp(${printNumber(least)}rem, ${printNumber(intercept)}rem + ${grow}, ${printNumber(most)}rem)`;
}
