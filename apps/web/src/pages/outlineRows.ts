import {
  AREAS,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nameOf,
  nodesUnder,
  type Site,
  sectionsIn,
} from '@cove/core';

export interface OutlineRow {
  id: Id;
  node: NodeRecord;
  depth: number;
  label: string;
  /** What it is, where the label does not say it. */
  kind: string;
  /** Values set by hand on it and on all it holds. */
  knots: number;
}

const ownKnots = (node: NodeRecord): number =>
  Object.keys(node.styles).length + Object.keys(node.declarations ?? {}).length;

/** The row that a record had the last time: it stays the same object while nothing of it differs, so it is not drawn anew. */
const last = new WeakMap<NodeRecord, OutlineRow>();

function rowOf(site: Site, node: NodeRecord, depth: number, knots: number): OutlineRow {
  const known = last.get(node);
  if (known && known.depth === depth && known.knots === knots) return known;
  const row = {
    id: node.id,
    node,
    depth,
    label: nameOf(site, node.id),
    kind: elementOfNode(node).label,
    knots,
  };
  last.set(node, row);
  return row;
}

/** Everything on a page in the order in which it stands, header and footer among it. */
export function outlineRows(site: Site, page: Id): OutlineRow[] {
  const rows: OutlineRow[] = [];
  /** Adds a thing and all it holds; answers the knots on them. */
  const visit = (node: NodeRecord, depth: number): number => {
    const place = rows.length;
    // Its knots are known only after those of what it holds.
    rows.length++;
    let knots = ownKnots(node);
    for (const id of nodesUnder(site, node.id)) {
      const child = getRecord(site, id);
      if (isNode(child)) knots += visit(child, depth + 1);
    }
    rows[place] = rowOf(site, node, depth, knots);
    return knots;
  };
  for (const area of AREAS) for (const section of sectionsIn(site, page, area)) visit(section, 0);
  return rows;
}
