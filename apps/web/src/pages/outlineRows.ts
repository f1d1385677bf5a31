import {
  AREAS,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nodesUnder,
  type Site,
  sectionsIn,
} from '@cove/core';
import { nameOf } from '../shell/names.ts';

export interface OutlineRow {
  node: NodeRecord;
  depth: number;
  label: string;
  /** What it is, where the label does not say it. */
  kind: string;
  /** Values set by hand on it and on all it holds. */
  knots: number;
}

function knotsOf(site: Site, id: Id): number {
  const record = getRecord(site, id);
  const own = isNode(record)
    ? Object.keys(record.styles).length + Object.keys(record.declarations ?? {}).length
    : 0;
  return nodesUnder(site, id).reduce((sum, child) => sum + knotsOf(site, child), own);
}

/** Everything on a page in the order in which it stands, header and footer among it. */
export function outlineRows(site: Site, page: Id): OutlineRow[] {
  const rows: OutlineRow[] = [];
  const visit = (node: NodeRecord, depth: number) => {
    const element = elementOfNode(node);
    rows.push({
      node,
      depth,
      label: nameOf(site, node.id),
      kind: element.label,
      knots: knotsOf(site, node.id),
    });
    for (const id of nodesUnder(site, node.id)) {
      const child = getRecord(site, id);
      if (isNode(child)) visit(child, depth + 1);
    }
  };
  for (const area of AREAS) for (const section of sectionsIn(site, page, area)) visit(section, 0);
  return rows;
}
