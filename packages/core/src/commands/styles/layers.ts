import { UNMOVED } from '../../cascade/index.ts';
import { LAYERS } from '../../properties/index.ts';
import { getRecord, type Id, type Site } from '../../site/index.ts';
import { parseSlot, printSlot, type Slot } from '../../slots/index.ts';
import type { Value } from '../../values/index.ts';

/** A layer that nobody speaks of yet, over the others while none is moved; null where all are in use. */
export function freeLayer(used: readonly string[]): string | null {
  const highest = Math.max(-1, ...used.map(it => LAYERS.indexOf(it)));
  return LAYERS[highest + 1] ?? LAYERS.find(it => !used.includes(it)) ?? null;
}

/** What puts a layer at place `index` of those in use, counted from the uppermost. */
export function placeLayer(
  used: readonly string[],
  layer: string,
  index: number,
): Readonly<Record<Slot, Value>> {
  const others = used.filter(it => it !== layer);
  const order = [...others.slice(0, index), layer, ...others.slice(index)];
  return Object.fromEntries(
    order.map((part, i): [Slot, Value] => [
      printSlot({ part, state: 'rest', width: 'wide', property: 'inFront' }),
      { type: 'number', value: UNMOVED - i },
    ]),
  );
}

/** Slots in which a record says something of a part. */
export function slotsOfPart(site: Site, id: Id, part: string): Slot[] {
  const record = getRecord(site, id);
  if (!record || !('styles' in record)) return [];
  return Object.keys(record.styles).filter(slot => parseSlot(slot)?.part === part);
}
