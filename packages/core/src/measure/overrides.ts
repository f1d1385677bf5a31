import { getRecord, type Id, isNode, type NodeRecord, nodesIn, SETTINGS, type Site } from '../site/index.ts';
import type { Slot } from '../slots/index.ts';

/** One value set by hand on one thing: a slot, or a declaration that is not followed. */
export interface Override {
  node: Id;
  at: 'styles' | 'declarations';
  key: Slot;
}

const of = (node: NodeRecord): Override[] => [
  ...Object.keys(node.styles).map((key): Override => ({ node: node.id, at: 'styles', key })),
  ...Object.keys(node.declarations ?? {}).map(
    (key): Override => ({ node: node.id, at: 'declarations', key }),
  ),
];

/** All overrides of a page with what all pages share, or of the site, in the order in which things stand. */
export function overridesOf(site: Site, page: Id | null = null): Override[] {
  const roots = page === null ? [SETTINGS, ...site.kinds.page.keys()] : [SETTINGS, page];
  return roots
    .flatMap(root => nodesIn(site, root))
    .flatMap(id => {
      const record = getRecord(site, id);
      return isNode(record) ? of(record) : [];
    });
}
