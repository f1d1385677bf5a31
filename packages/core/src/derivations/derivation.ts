import type { Derivation, TokenType, Value } from '../values/index.ts';

/** One way to compute a value from tokens. */
export interface DerivationRule {
  op: string;
  label: string;
  /** Type of what comes out. */
  type: TokenType;
  /** Types of the tokens it follows, in order. */
  from: readonly TokenType[];
  /** Its numbers: share is 0–1 and written in per cent. */
  by: readonly { label: string; share: boolean; min: number; max: number; start: number }[];
  accepts(derivation: Derivation): boolean;
  /** Null when the values given cannot be combined. */
  compute(from: readonly Value[], by: readonly number[]): Value | null;
}

export function rule(it: Omit<DerivationRule, 'accepts'>): DerivationRule {
  return {
    ...it,
    accepts: ({ from, by }) =>
      from.length === it.from.length &&
      by.length === it.by.length &&
      it.by.every(({ min, max }, i) => (by[i] ?? Number.NaN) >= min && (by[i] ?? Number.NaN) <= max),
  };
}
