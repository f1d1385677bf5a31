import {
  type Edit,
  editOf,
  type Id,
  nodesUnder,
  putRecord,
  SETTINGS,
  type SharedArea,
  type Site,
  showsArea,
} from '../../site/index.ts';
import { removeNodes } from './several.ts';
import { emptySection, type Made, placeAt } from './structure.ts';

/** Whether a page shows what pages share in an area; nothing where it is so already. */
function areaRule(site: Site, page: Id, area: SharedArea, shown: boolean): Edit[] {
  const record = site.kinds.page.get(page);
  if (!record || showsArea(record, area) === shown) return [];
  const { [area]: _, ...others } = record.areas ?? {};
  const areas = showsArea({}, area) === shown ? others : { ...others, [area]: shown };
  return Object.keys(areas).length === 0
    ? [editOf(record).unset('areas')]
    : [editOf(record).set('areas', areas)];
}

/** What stands in an area, in order. */
const sectionsOf = (site: Site, area: SharedArea): Id[] =>
  nodesUnder(site, SETTINGS).filter(id => site.kinds.section.get(id)?.area === area);

/** Shows an area on a page or leaves it out. Where the site has nothing there yet, it gets an empty section. */
export function showArea(site: Site, page: Id, area: SharedArea, shown: boolean): Edit[] {
  if (!site.kinds.page.has(page)) return [];
  const rule = areaRule(site, page, area, shown);
  if (!shown || sectionsOf(site, area).length > 0) return rule;
  const { order, rekeyed } = placeAt(site, SETTINGS, Number.MAX_SAFE_INTEGER, null);
  return [...rule, ...rekeyed, putRecord(emptySection(site, area, { parent: SETTINGS, order }))];
}

/** Whether a section for an area replaces what stands there, or comes below it. */
export type LaidInArea = 'instead' | 'below';

/**
 * Lays a section into an area that pages share; `lay` makes it as a child of the settings, at a place among those. The page
 * for which it is asked shows the area from then on.
 */
export function addToArea(
  site: Site,
  page: Id,
  area: SharedArea,
  how: LaidInArea,
  lay: (index: number) => Made | null,
): Made | null {
  const nodes = nodesUnder(site, SETTINGS);
  const there = sectionsOf(site, area);
  const last = there.at(-1);
  const made = lay(last === undefined ? nodes.length : nodes.indexOf(last) + 1);
  return (
    made && {
      id: made.id,
      edits: [
        ...areaRule(site, page, area, true),
        ...made.edits,
        ...(how === 'instead' ? removeNodes(site, there) : []),
      ],
    }
  );
}
