import { type PictureBehind, pictureAt } from '../../measure/index.ts';
import type { Edit, Site } from '../../site/index.ts';
import { parseSlot, printSlot } from '../../slots/index.ts';
import type { Tint } from '../../values/index.ts';
import { setSlots } from '../styles/styles.ts';

/** Lays a colour over a picture where it is shown: on the values set there, else on what the guide says, which is set there then. */
export function addTint(site: Site, behind: PictureBehind, tint: Tint): Edit[] {
  const { node } = behind.scope;
  if (!node) return [];
  const own = Object.entries(node.styles).flatMap(([slot, value]) => {
    const at = parseSlot(slot);
    return at?.part === behind.part && at.property === 'backgroundImage' && value.type === 'picture'
      ? [[slot, { ...value, tint }] as const]
      : [];
  });
  const shown = pictureAt(site, behind, 'wide') ?? pictureAt(site, behind, 'narrow');
  const slot = printSlot({ part: behind.part, state: 'rest', width: 'wide', property: 'backgroundImage' });
  const values = own.length > 0 ? own : shown ? [[slot, { ...shown, tint }] as const] : [];
  return setSlots(site, { type: 'record', id: node.id }, Object.fromEntries(values));
}
