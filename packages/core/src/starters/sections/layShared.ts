import { removeNodes } from '../../commands/several.ts';
import { areaRule, type Made } from '../../commands/structure.ts';
import { type Id, nodesUnder, SETTINGS, type SharedArea, type Site } from '../../site/index.ts';
import { laySection } from './laySection.ts';
import type { SectionStarter } from './sketch.ts';

/**
 * Lays a ready section into an area that pages share, in place of all that stands there or below it. The page it is
 * asked for on shows the area from then on.
 */
export function layShared(
  site: Site,
  page: Id,
  area: SharedArea,
  starter: SectionStarter,
  how: 'instead' | 'below',
): Made {
  const nodes = nodesUnder(site, SETTINGS);
  const there = nodes.filter(id => site.kinds.section.get(id)?.area === area);
  const last = there.at(-1);
  const { edits, id } = laySection(
    site,
    SETTINGS,
    last === undefined ? nodes.length : nodes.indexOf(last) + 1,
    starter,
    area,
  );
  const gone = how === 'instead' ? removeNodes(site, there) : [];
  return { id, edits: [...areaRule(site, page, area, true), ...edits, ...gone] };
}
