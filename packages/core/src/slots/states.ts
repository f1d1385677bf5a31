import type { PropertyName } from '../properties/index.ts';
import type { Value } from '../values/index.ts';

export const STATES = [
  'rest',
  'alternate',
  'selected',
  'valid',
  'invalid',
  'hover',
  'focus',
  'pressed',
  'disabled',
] as const;
/** Weakest first; the strongest that matches and has a value wins. Alternate: every second one of those beside each other. */
export type State = (typeof STATES)[number];
export const WIDTHS = ['wide', 'medium', 'narrow'] as const;
/** Wide holds everywhere, medium at medium and below, narrow at narrow. */
export type Width = (typeof WIDTHS)[number];

/** `part:state@width/property`; rest and wide are left out. */
export type Slot = string;
export type Styles = Readonly<Record<Slot, Value>>;

/** Style facets hold these. */
export type SlotProperty = PropertyName | 'textStyle';
