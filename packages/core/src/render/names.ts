import type { Derivation } from '../values/index.ts';
import type { Part } from '../widgets/index.ts';

/** Class under which one source speaks of a part; of a pseudo-element it is another one, since both stand on one element. */
export const partClass = (source: string, part: string, pseudo: Part['pseudo'] | null = null): string =>
  pseudo == null ? `${source}-${part}` : `${source}-${part}_${pseudo}`;

/** Name of the custom property that holds a derivation written in a slot. */
export const derivedName = ({ op, from, by }: Derivation): string =>
  `d-${op}-${from.join('-')}-${by.map(n => String(n).replace('.', 'p').replace('-', 'm')).join('-')}`;
