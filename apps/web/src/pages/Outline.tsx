import { canStandIn, getRecord, type Id, isNode, nodesUnder, outermost, type Site } from '@cove/core';
import { useMemo } from 'react';
import type { Place } from '../adding/place.ts';
import type { Selection } from '../onPage/useSelection.ts';
import { type Drop, Tree, type TreeRow } from '../ui/Tree.tsx';
import { type OutlineRow, outlineRows } from './outlineRows.ts';
import type { Acts } from './useActs.ts';

/** Where things come to stand before, into or after another; null where one of them cannot. */
export function placeOfDrop(
  site: Site,
  ids: readonly Id[],
  { over, where }: Drop,
): { parent: Id; index: number } | null {
  const target = getRecord(site, over);
  if (!isNode(target) || ids.includes(over)) return null;
  const parent = where === 'inside' ? over : target.at.parent;
  const nodes = ids.map(id => getRecord(site, id));
  if (!nodes.every(node => isNode(node) && canStandIn(site, node, parent))) return null;
  const now = nodesUnder(site, parent);
  const stay = now.filter(id => !ids.includes(id));
  const index = where === 'inside' ? stay.length : stay.indexOf(over) + (where === 'after' ? 1 : 0);
  const then = [...stay.slice(0, index), ...ids, ...stay.slice(index)];
  return then.length === now.length && then.every((id, i) => id === now[i]) ? null : { parent, index };
}

const drawRow = ({ node, label, kind, knots }: OutlineRow & TreeRow) => (
  <>
    <span className="truncate">{label}</span>
    <span className="sr-only">, </span>
    <span
      className={
        label === kind || (node.kind === 'section' && node.area === 'main')
          ? 'sr-only'
          : 'shrink-0 text-small font-normal text-muted lowercase'
      }
    >
      {kind}
    </span>
    {knots > 0 && (
      <>
        <span className="sr-only">, </span>
        <span className="ml-auto text-small font-normal text-madder">{knots}</span>
        <span className="sr-only">{knots === 1 ? ' knot' : ' knots'}</span>
      </>
    )}
  </>
);

/** The page as a tree. */
export function Outline({
  site,
  page,
  selection,
  acts,
  fixed,
  about,
}: {
  site: Site;
  page: Id;
  selection: Selection;
  acts: Acts;
  /** Nothing may be moved. */
  fixed: boolean;
  /** Where something is about to be added. */
  about: Place | null;
}) {
  const rows = useMemo(() => outlineRows(site, page), [site, page]);
  const { nodes } = selection;
  const before = about && nodesUnder(site, about.parent)[about.index - 1];
  const at: Drop | null =
    about && (before ? { over: before, where: 'after' } : { over: about.parent, where: 'inside' });
  /** Whoever drags one of those that are picked drags all of them. */
  const dragged = (id: Id) => outermost(site, nodes.includes(id) ? nodes : [id]);
  return (
    <Tree
      label="On this page"
      several
      about={at}
      rows={rows}
      picked={nodes}
      onPick={(id, more) => (more ? selection.toggle(id) : selection.pickNode(id))}
      onKey={(_, event) => acts.onKey(event)}
      canDrop={(id, drop) => {
        const to = placeOfDrop(site, dragged(id), drop);
        return to !== null && acts.canMove(dragged(id), to.parent, to.index);
      }}
      onDrop={
        fixed
          ? null
          : (id, drop) => {
              const to = placeOfDrop(site, dragged(id), drop);
              if (to) acts.move(dragged(id), to.parent, to.index);
            }
      }
    >
      {drawRow}
    </Tree>
  );
}
