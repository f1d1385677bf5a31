import { printNumber } from '../color/index.ts';
import { LIMITS } from '../limits/index.ts';
import { parseArithmetic } from './arithmetic.ts';
import { REM } from './fluid.ts';
import { isNumber, isObject } from './json.ts';
import { LENGTH_UNITS, type Length, type LengthUnit } from './value.ts';

const isUnit = (unit: string): unit is LengthUnit => LENGTH_UNITS.some(it => it === unit);

export function readLength(it: unknown): Length | null {
  if (!isObject(it) || !isNumber(it.value)) return null;
  const unit = LENGTH_UNITS.find(u => u === it.unit);
  return unit ? { value: it.value, unit } : null;
}

/** A length with a unit, or a bare 0. Simple arithmetic is worked out: `24/16rem`, `1.5*2rem`. */
export function parseLength(source: string): Length | null {
  if (source.length > LIMITS.typed.value) return null;
  const match = /^([-+*/().\d\s]+?)\s*([a-z%]*)$/i.exec(source.trim());
  if (!match?.[1]) return null;
  const value = parseArithmetic(match[1]);
  const unit = (match[2] ?? '').toLowerCase();
  if (value === null) return null;
  if (unit === '') return value === 0 ? { value: 0, unit: 'px' } : null;
  return isUnit(unit) ? { value, unit } : null;
}

export const printLength = ({ value, unit }: Length): string => `${printNumber(value)}${unit}`;

/** Whether a length means the same wherever it stands. */
export const isAbsolute = ({ unit }: Length): boolean => unit === 'px' || unit === 'rem';

/** What a length comes to in px where the reader has set nothing; null for what depends on where it stands. */
export const lengthInPx = ({ value, unit }: Length): number | null =>
  unit === 'px' ? value : unit === 'rem' ? value * REM : null;
