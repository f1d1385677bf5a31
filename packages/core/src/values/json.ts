import type { Json } from './types/valueType.ts';

export const isObject = (it: unknown): it is Json =>
  typeof it === 'object' && it !== null && !Array.isArray(it);
export const isNumber = (it: unknown): it is number => typeof it === 'number' && Number.isFinite(it);
export const isNumbers = (it: unknown, length: number): it is number[] =>
  Array.isArray(it) && it.length === length && it.every(isNumber);

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)$/;
/** A number as CSS has it, without a unit or an exponent; null for anything else. */
export const parseNumber = (text: string): number | null => (NUMBER.test(text) ? Number(text) : null);
