import { isNumber, isObject } from '../json.ts';
import { isId } from '../value.ts';
import type { ValueKind, ValueOf } from './valueType.ts';

/** Tokens or numbers that a derivation takes. */
const MOST_INPUTS = 8;

export const derived: ValueKind<ValueOf<'derived'>> = {
  read({ derivation: d }) {
    if (!isObject(d) || !isId(d.op) || !Array.isArray(d.from) || !Array.isArray(d.by)) return null;
    if (d.from.length > MOST_INPUTS || d.by.length > MOST_INPUTS) return null;
    const from = d.from.filter(isId);
    const by = d.by.filter(isNumber);
    if (from.length !== d.from.length || by.length !== d.by.length) return null;
    return { type: 'derived', derivation: { op: d.op, from, by } };
  },
  print: (value, context) => context.derived(value),
};
