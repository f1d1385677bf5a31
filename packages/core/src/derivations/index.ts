import * as colors from './colors.ts';
import type { DerivationRule } from './derivation.ts';
import * as ramps from './ramps.ts';
import * as sizes from './sizes.ts';

export type { DerivationRule } from './derivation.ts';
export const DERIVATIONS: readonly DerivationRule[] = [
  ...Object.values(colors),
  ...Object.values(ramps),
  ...Object.values(sizes),
];
const BY_OP = new Map(DERIVATIONS.map(rule => [rule.op, rule]));
export const derivationNamed = (op: string): DerivationRule | undefined => BY_OP.get(op);
