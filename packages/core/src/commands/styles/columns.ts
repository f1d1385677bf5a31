import {
  type Edit,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  nodesUnder,
  type Site,
} from '../../site/index.ts';
import { printSlot, type Slot, type Width } from '../../slots/index.ts';
import { dimension, keyword, type Value } from '../../values/index.ts';
import { firstPart } from '../../widgets/index.ts';
import { setSlots } from './styles.ts';

/** A column as it is laid out; lengths in px. */
export interface LaidColumn {
  width: number;
  /** Its width before sharing, and its share of what is left (CSS Flexible Box 1, section 9.7). */
  basis: number;
  grow: number;
}

/** Shares are written down in hundredths. */
const rounded = (share: number): number => Math.round(share * 100) / 100;

/**
 * Shares of two neighbours after the border between them was moved by some px, out of all columns of their row. What is
 * left over is shared in proportion, so together the two keep what they had. Null where nothing is left to share.
 */
export function sharesAfter(
  row: readonly LaidColumn[],
  left: number,
  by: number,
): readonly [number, number] | null {
  const [a, b] = [row[left], row[left + 1]];
  const shares = row.reduce((sum, it) => sum + it.grow, 0);
  const free = row.reduce((sum, it) => sum + it.width - it.basis, 0);
  if (!a || !b || shares <= 0 || free <= 0.5) return null;
  const perShare = free / shares;
  const both = a.grow + b.grow;
  const next = Math.max(0, Math.min(both, a.grow + by / perShare));
  return [rounded(next), rounded(both - next)];
}

/** What can stand side by side with a thing, and within it; each where there is a second. */
export function rowsAround(site: Site, picked: Id): Id[][] {
  const node = getRecord(site, picked);
  if (!isNode(node)) return [];
  const beside = node.kind === 'widget' ? nodesUnder(site, node.at.parent) : [];
  return [nodesUnder(site, node.id), beside].filter(row => row.length > 1);
}

export const isColumn = (site: Site, id: Id): boolean => site.kinds.widget.get(id)?.widget === 'column';

const grow = (
  site: Site,
  id: Id,
  share: number,
  width: Width,
  more: Readonly<Record<Slot, Value>> = {},
): Edit[] => {
  const node = getRecord(site, id);
  if (!isNode(node)) return [];
  const slot = slotOf(firstPart(elementOfNode(node)), width, 'flexGrow');
  return setSlots(site, { type: 'record', id }, { [slot]: { type: 'number', value: share }, ...more });
};
const slotOf = (
  part: string,
  width: Width,
  property: 'flexGrow' | 'flexBasis' | 'display' | 'flexDirection',
): Slot => printSlot({ part, state: 'rest', width, property });

/** Gives two columns of a row their shares at a width. */
export const shareColumns = (
  site: Site,
  [a, b]: readonly [Id, Id],
  [one, other]: readonly [number, number],
  width: Width,
): Edit[] => [...grow(site, a, one, width), ...grow(site, b, other, width)];

/**
 * Gives what stands in a grid widths of their own: what holds them becomes a row that is shared by them, and still stacks
 * them where the window is narrow. `widths` are px, one for each.
 */
export function shareGrid(site: Site, ids: readonly Id[], widths: readonly number[], width: Width): Edit[] {
  const first = getRecord(site, ids[0] ?? '');
  const holder = isNode(first) ? getRecord(site, first.at.parent) : undefined;
  const part = isNode(holder) ? elementOfNode(holder).holds : null;
  if (!isNode(holder) || part === null) return [];
  const whole = widths.reduce((sum, it) => sum + it, 0);
  const row = setSlots(
    site,
    { type: 'record', id: holder.id },
    {
      [slotOf(part, width, 'display')]: keyword('flex'),
      ...(width !== 'narrow' && {
        [slotOf(part, width, 'flexDirection')]: keyword('row'),
        [slotOf(part, 'narrow', 'flexDirection')]: keyword('column'),
      }),
    },
  );
  const shares = ids.flatMap((id, i) => {
    const node = getRecord(site, id);
    if (!isNode(node)) return [];
    const basis = slotOf(firstPart(elementOfNode(node)), width, 'flexBasis');
    const share = rounded(((widths[i] ?? 0) / whole) * ids.length);
    return grow(site, id, share, width, { [basis]: dimension(0, 'px') });
  });
  return [...row, ...shares];
}
