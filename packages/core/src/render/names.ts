import type { Derivation } from '../values/index.ts';

/** Name of the custom property that holds a derivation written in a slot. */
export const derivedName = ({ op, from, by }: Derivation): string =>
  `d-${op}-${from.join('-')}-${by.map(n => String(n).replace('.', 'p').replace('-', 'm')).join('-')}`;
