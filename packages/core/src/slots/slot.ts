import { isProperty } from '../properties/index.ts';
import { type Slot, type SlotProperty, STATES, type State, WIDTHS, type Width } from './states.ts';

export interface SlotParts {
  part: string;
  state: State;
  width: Width;
  property: SlotProperty;
}

/** `part:state@width/property`, rest and wide left out, so that each slot has one spelling. */
export const printSlot = ({ part, state, width, property }: SlotParts): Slot =>
  `${part}${state === 'rest' ? '' : `:${state}`}${width === 'wide' ? '' : `@${width}`}/${property}`;

const PATTERN = /^([a-zA-Z]*)(?::([a-z]+))?(?:@([a-z]+))?\/([a-zA-Z]+)$/;
const cache = new Map<string, SlotParts | null>();

function parse(slot: string): SlotParts | null {
  const match = PATTERN.exec(slot);
  if (!match) return null;
  const [, part = '', stateName = 'rest', widthName = 'wide', property = ''] = match;
  const state = STATES.find(it => it === stateName);
  const width = WIDTHS.find(it => it === widthName);
  if (!state || !width || match[2] === 'rest' || match[3] === 'wide') return null;
  if (property === 'textStyle' || isProperty(property)) return { part, state, width, property };
  return null;
}

/** Null for what is no slot, or is not in its one spelling. */
export function parseSlot(slot: string): SlotParts | null {
  const known = cache.get(slot);
  if (known !== undefined) return known;
  const parts = parse(slot);
  if (cache.size < 50_000) cache.set(slot, parts);
  return parts;
}
