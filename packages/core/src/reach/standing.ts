import { childScope, pageScope, type Scope } from '../cascade/index.ts';
import { sectionsIn } from '../render/markup.ts';
import { AREAS, getRecord, type Id, isNode, type NodeRecord, nodesUnder, type Site } from '../site/index.ts';

/** A page, or a section or widget as it stands on one; what all pages share stands on each. */
export interface Standing {
  /** Null for the page itself. */
  node: NodeRecord | null;
  page: Id;
  scope: Scope;
}

interface Known {
  inputs: readonly unknown[];
  standings: readonly Standing[];
}
const known = new WeakMap<Site['kinds']['widget'], Known>();

/** Everything that stands on the site's pages, parents before what they hold. Made anew when pages or things alter. */
export function standingsOf(site: Site): readonly Standing[] {
  const { settings, page, section, widget } = site.kinds;
  const inputs = [settings, page, section, site.children];
  const there = known.get(widget);
  if (there?.inputs.every((it, i) => it === inputs[i])) return there.standings;
  const standings: Standing[] = [];
  for (const record of page.values()) {
    const scope = pageScope(site, record);
    standings.push({ node: null, page: record.id, scope });
    const visit = (outer: Scope, id: Id) => {
      const node = getRecord(site, id);
      if (!isNode(node)) return;
      const inner = childScope(outer, node);
      standings.push({ node, page: record.id, scope: inner });
      for (const child of nodesUnder(site, id)) visit(inner, child);
    };
    for (const area of AREAS) for (const { id } of sectionsIn(site, record.id, area)) visit(scope, id);
  }
  known.set(widget, { inputs, standings });
  return standings;
}
