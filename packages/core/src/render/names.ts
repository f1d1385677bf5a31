import { stableText } from '../site/stableText.ts';
import type { Derivation, Value } from '../values/index.ts';
import type { Part } from '../widgets/index.ts';
import { fingerprint } from './fingerprint.ts';

/** Class under which one source speaks of a part; of a pseudo-element it is another one, since both stand on one element. */
export const partClass = (source: string, part: string, pseudo: Part['pseudo'] | null = null): string =>
  pseudo == null ? `${source}-${part}` : `${source}-${part}_${pseudo}`;

/** Name of the custom property that holds a drawing as an image, painted in one ink. */
export const patternName = ({ drawing, ink }: Value & { type: 'pattern' }): string =>
  `p-${drawing}-${fingerprint(stableText(ink))}`;

/** Name of the custom property that holds a derivation written in a slot. */
export const derivedName = ({ op, from, by }: Derivation): string =>
  `d-${op}-${from.join('-')}-${by.map(n => String(n).replace('.', 'p').replace('-', 'm')).join('-')}`;
