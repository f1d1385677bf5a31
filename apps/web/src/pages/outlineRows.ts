import {
  childrenOf,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
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
  return childrenOf(site, id).reduce((sum, child) => sum + knotsOf(site, child), own);
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
    for (const id of childrenOf(site, node.id)) {
      const child = getRecord(site, id);
      if (isNode(child)) visit(child, depth + 1);
    }
  };
  for (const area of ['header', 'main', 'footer'] as const)
    for (const section of sectionsIn(site, page, area)) visit(section, 0);
  return rows;
}
