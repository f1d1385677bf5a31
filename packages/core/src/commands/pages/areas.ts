import {
  type Edit,
  editOf,
  type Id,
  keysBetween,
  newId,
  nodesUnder,
  type PageRecord,
  putRecord,
  SETTINGS,
  type SharedArea,
  type Site,
  sectionsOf,
  showsArea,
} from '../../site/index.ts';
import { removeNodes } from './several.ts';
import { copiesOf, emptySection, type Made, placeAt } from './structure.ts';

/** What a page has in an area: what pages share, something of its own instead, or nothing. */
export const AREA_USES = ['shared', 'own', 'none'] as const;
export type AreaUse = (typeof AREA_USES)[number];

const usual = (area: SharedArea): AreaUse => (showsArea({}, area) ? 'shared' : 'none');

export function areaUse(site: Site, page: PageRecord, area: SharedArea): AreaUse {
  if (!showsArea(page, area)) return 'none';
  return sectionsOf(site, page.id, area).length > 0 ? 'own' : 'shared';
}

/** Whether a page differs from what pages have in an area if nothing is said of them. */
export const differsInArea = (site: Site, page: PageRecord, area: SharedArea): boolean =>
  areaUse(site, page, area) !== usual(area) || sectionsOf(site, page.id, area).length > 0;

/** Whether a page shows an area; nothing where it is so already. */
function areaRule(site: Site, page: Id, area: SharedArea, shown: boolean): Edit[] {
  const record = site.kinds.page.get(page);
  if (!record || showsArea(record, area) === shown) return [];
  const { [area]: _, ...others } = record.areas ?? {};
  const areas = showsArea({}, area) === shown ? others : { ...others, [area]: shown };
  return Object.keys(areas).length === 0
    ? [editOf(record).unset('areas')]
    : [editOf(record).set('areas', areas)];
}

const idsIn = (site: Site, parent: Id, area: SharedArea): Id[] =>
  sectionsOf(site, parent, area).map(it => it.id);

/** An empty section at the end of an area. */
function beginArea(site: Site, parent: Id, area: SharedArea): Edit[] {
  const { order, rekeyed } = placeAt(site, parent, Number.MAX_SAFE_INTEGER, null);
  return [...rekeyed, putRecord(emptySection(site, area, { parent, order }))];
}

/** Shows an area on a page or leaves it out. Where there is nothing to show yet, it gets an empty section. */
export function showArea(site: Site, page: Id, area: SharedArea, shown: boolean): Edit[] {
  if (!site.kinds.page.has(page)) return [];
  const rule = areaRule(site, page, area, shown);
  const there = idsIn(site, page, area).length + idsIn(site, SETTINGS, area).length;
  return shown && there === 0 ? [...rule, ...beginArea(site, SETTINGS, area)] : rule;
}

/** Copies of what pages share in an area, as what one page has of its own. */
function ownCopies(site: Site, page: Id, area: SharedArea): Edit[] {
  const shared = idsIn(site, SETTINGS, area);
  if (shared.length === 0) return beginArea(site, page, area);
  const { nodes, copies, rules } = copiesOf(site, shared);
  const last = nodesUnder(site, page).at(-1);
  const orders = keysBetween(last === undefined ? null : orderOf(site, last), null, shared.length);
  return [
    ...nodes.map(record => {
      const at = shared.includes(record.id)
        ? { parent: page, order: orders[shared.indexOf(record.id)] ?? 'V' }
        : { parent: copies.get(record.at.parent) ?? record.at.parent, order: record.at.order };
      return putRecord({ ...record, id: copies.get(record.id) ?? newId('s'), at });
    }),
    ...rules,
  ];
}

const orderOf = ({ kinds }: Site, id: Id): string | null =>
  (kinds.section.get(id) ?? kinds.page.get(id))?.at.order ?? null;

/**
 * What a page has in an area from now on. What it gets of its own begins as a copy of what pages share; going back to that
 * takes its own away, in one step.
 */
export function setAreaUse(site: Site, page: Id, area: SharedArea, use: AreaUse): Edit[] {
  if (!site.kinds.page.has(page)) return [];
  const own = idsIn(site, page, area);
  if (use === 'own')
    return [...areaRule(site, page, area, true), ...(own.length > 0 ? [] : ownCopies(site, page, area))];
  return [
    ...showArea(site, page, area, use === 'shared'),
    ...(use === 'shared' ? removeNodes(site, own) : []),
  ];
}

/** A page as all others in an area: whatever it has of its own there goes. */
export function revertArea(site: Site, page: Id, area: SharedArea): Edit[] {
  return [
    ...areaRule(site, page, area, usual(area) === 'shared'),
    ...removeNodes(site, idsIn(site, page, area)),
  ];
}

/** Whether a section for an area replaces what stands there, or comes below it. */
export type LaidInArea = 'instead' | 'below';

/**
 * Lays a section into an area: the page’s own, if it has one, else what pages share; `lay` makes it at a place there. The page
 * for which it is asked shows the area from then on.
 */
export function addToArea(
  site: Site,
  page: Id,
  area: SharedArea,
  how: LaidInArea,
  lay: (parent: Id, index: number) => Made | null,
): Made | null {
  const own = idsIn(site, page, area);
  const parent = own.length > 0 ? page : SETTINGS;
  const there = own.length > 0 ? own : idsIn(site, SETTINGS, area);
  const nodes = nodesUnder(site, parent);
  const last = there.at(-1);
  const made = lay(parent, last === undefined ? nodes.length : nodes.indexOf(last) + 1);
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
