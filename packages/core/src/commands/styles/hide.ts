import {
  type Edit,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  type Site,
} from '../../site/index.ts';
import { printSlot } from '../../slots/index.ts';
import { keyword } from '../../values/index.ts';
import { partNames, partOf } from '../../widgets/index.ts';
import { setSlots } from './styles.ts';

/** From which width downwards a thing is not shown. */
export type HiddenFrom = 'narrow' | 'medium';

/** Parts that stand in no other: one of them is the outermost, whichever the content calls for. */
const outerParts = (node: NodeRecord): string[] => {
  const element = elementOfNode(node);
  return partNames(element).filter(part => partOf(element, part)?.inside === undefined);
};
const slotsAt = (node: NodeRecord, width: HiddenFrom) =>
  outerParts(node).map(part => printSlot({ part, state: 'rest', width, property: 'display' }));

/** The width from which a thing is hidden by hand; null where it shows at all of them. */
export function hiddenFrom(site: Site, id: Id): HiddenFrom | null {
  const node = getRecord(site, id);
  if (!isNode(node)) return null;
  const hides = (width: HiddenFrom) =>
    slotsAt(node, width).every(slot => {
      const value = node.styles[slot];
      return value?.type === 'keyword' && value.value === 'none';
    });
  return hides('medium') ? 'medium' : hides('narrow') ? 'narrow' : null;
}

/** Hides a thing from a width downwards, or shows it everywhere again. It stays in the page: who reads its text still gets it. */
export function hideFrom(site: Site, id: Id, width: HiddenFrom | null): Edit[] {
  const node = getRecord(site, id);
  if (!isNode(node)) return [];
  const off = (at: HiddenFrom) => slotsAt(node, at).map(slot => [slot, null] as const);
  const on = width === null ? [] : slotsAt(node, width).map(slot => [slot, keyword('none')] as const);
  return setSlots(
    site,
    { type: 'record', id },
    Object.fromEntries([...off('narrow'), ...off('medium'), ...on]),
  );
}
