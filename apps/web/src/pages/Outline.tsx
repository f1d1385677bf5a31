import {
  canStandIn,
  type Edit,
  getRecord,
  type Id,
  isNode,
  moveNode,
  nodesUnder,
  type Site,
} from '@cove/core';
import { useMemo } from 'react';
import { type Drop, Tree } from '../ui/Tree.tsx';
import { outlineRows } from './outlineRows.ts';

interface Props {
  site: Site;
  page: Id;
  picked: Id | null;
  onPick(id: Id): void;
  onKey(id: Id, event: React.KeyboardEvent): void;
  /** Null where nothing may be moved. */
  onMove: ((edits: Edit[]) => void) | null;
}

/** Edits that bring a node before, into or after another; null where it cannot stand there. */
function dropEdits(site: Site, id: Id, { over, where }: Drop): Edit[] | null {
  const node = getRecord(site, id);
  const target = getRecord(site, over);
  if (!isNode(node) || !isNode(target) || id === over) return null;
  const parent = where === 'inside' ? over : target.at.parent;
  if (!canStandIn(site, node, parent)) return null;
  const siblings = nodesUnder(site, parent).filter(it => it !== id);
  const index = where === 'inside' ? siblings.length : siblings.indexOf(over) + (where === 'after' ? 1 : 0);
  const moved = moveNode(site, id, parent, index);
  return moved.ok && moved.value.length > 0 ? moved.value : null;
}

/** The page as a tree. */
export function Outline({ site, page, picked, onPick, onKey, onMove }: Props) {
  const rows = useMemo(() => outlineRows(site, page).map(row => ({ ...row, id: row.node.id })), [site, page]);
  return (
    <Tree
      label="On this page"
      rows={rows}
      picked={picked}
      onPick={onPick}
      onKey={onKey}
      dropEdits={(id, drop) => dropEdits(site, id, drop)}
      onMove={onMove}
    >
      {({ node, label, kind, knots }) => (
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
      )}
    </Tree>
  );
}
