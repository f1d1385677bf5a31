import { isObject } from './json.ts';
import { VALUE_TYPES } from './types/index.ts';
import type { Value, ValueType } from './value.ts';

const isValueType = (type: unknown): type is ValueType =>
  typeof type === 'string' && Object.hasOwn(VALUE_TYPES, type);

/** A colour inside another value: a literal, a token or a role. */
const readColor = (it: unknown): Value | null =>
  isObject(it) && (it.type === 'color' || it.type === 'token' || it.type === 'role') ? readValue(it) : null;

/** Reads a value out of stored or sent JSON, copying only what is known; null where it is none. */
export const readValue = (it: unknown): Value | null =>
  isObject(it) && isValueType(it.type) ? VALUE_TYPES[it.type].read(it, readColor) : null;
