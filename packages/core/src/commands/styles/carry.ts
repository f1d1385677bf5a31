import { type Facet, propertyOf } from '../../properties/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editOf,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  newId,
  nodesIn,
  nodesUnder,
  parseDeclarationKey,
  printDeclarationKey,
  SETTINGS,
  type Site,
} from '../../site/index.ts';
import { parseSlot, printSlot, type Slot } from '../../slots/index.ts';
import type { Value } from '../../values/index.ts';
import { type ElementType, partNames, partOf, statesOf } from '../../widgets/index.ts';

/** How far one looks for things of the same kind. */
export type Range = 'row' | 'section' | 'page' | 'site';
export const RANGES: readonly Range[] = ['row', 'section', 'page', 'site'];

const kindOf = (node: NodeRecord): string => elementOfNode(node).name;

/** What a thing stands in, as far as the range goes; null for the whole site. */
function boundOf(site: Site, node: NodeRecord, range: Range): Id | null {
  if (range === 'site') return null;
  if (range === 'row') return node.at.parent;
  let at: NodeRecord = node;
  for (let up = getRecord(site, at.at.parent); isNode(up); up = getRecord(site, at.at.parent)) at = up;
  return range === 'section' && node.kind === 'widget' ? at.id : at.at.parent;
}

/** Other things of the same kind in the same row, section, page or site, in the order in which they stand. */
export function alike(site: Site, id: Id, range: Range): Id[] {
  const node = getRecord(site, id);
  if (!isNode(node)) return [];
  const bound = boundOf(site, node, range);
  const roots = bound === null ? [SETTINGS, ...site.kinds.page.keys()] : [bound];
  const inside = range === 'row' ? nodesUnder(site, node.at.parent) : roots.flatMap(it => nodesIn(site, it));
  return inside.filter(other => {
    const record = getRecord(site, other);
    return other !== id && isNode(record) && kindOf(record) === kindOf(node);
  });
}

/** Where a part's looks go in another element: the part of the same name, else the first of the same kind. */
function partIn(from: ElementType, part: string, to: ElementType): string | null {
  if (from === to) return part;
  const kind = partOf(from, part)?.kind;
  if (partOf(to, part)?.kind === kind) return part;
  return partNames(to).find(name => partOf(to, name)?.kind === kind) ?? null;
}

export interface Carried {
  edits: Edit[];
  /** What the looks had that a thing has no part or state for. */
  left: readonly { node: Id; slots: readonly Slot[] }[];
}

/**
 * Gives the look of one thing to others. Whole: variants, presets, scheme and all that is set by hand take the place of
 * theirs. By facet: only what is set by hand of those facets does. Words and pictures stay as they are.
 */
export function carryLook(
  site: Site,
  from: Id,
  to: readonly Id[],
  facets: ReadonlySet<Facet> | null = null,
): Result<Carried> {
  const source = getRecord(site, from);
  if (!isNode(source)) return fail({ code: 'gone', message: 'That is no longer there.', record: from });
  const edits: Edit[] = [];
  const left: { node: Id; slots: Slot[] }[] = [];
  for (const id of to) {
    const node = getRecord(site, id);
    if (!isNode(node) || id === from) continue;
    const { made, without } = lookFor(source, node, facets);
    edits.push(...made);
    if (without.length > 0) left.push({ node: id, slots: without });
  }
  return ok({ edits, left });
}

const isOf = (slot: Slot, facets: ReadonlySet<Facet> | null): boolean => {
  const property = parseSlot(slot)?.property;
  if (facets === null || property === undefined) return facets === null;
  return facets.has(property === 'textStyle' ? 'type' : propertyOf(property).facet);
};

function lookFor(
  source: NodeRecord,
  node: NodeRecord,
  facets: ReadonlySet<Facet> | null,
): { made: Edit[]; without: Slot[] } {
  const [had, has] = [elementOfNode(source), elementOfNode(node)];
  const without: Slot[] = [];
  const styles: Record<Slot, Value> = Object.fromEntries(
    Object.entries(node.styles).filter(([slot]) => !isOf(slot, facets)),
  );
  for (const [slot, value] of Object.entries(source.styles)) {
    const parts = parseSlot(slot);
    if (!parts || !isOf(slot, facets)) continue;
    const part = partIn(had, parts.part, has);
    const fits = part !== null && (parts.state === 'rest' || statesOf(has, part).includes(parts.state));
    if (fits) styles[printSlot({ ...parts, part })] = value;
    else without.push(slot);
  }
  const made: Edit[] = [editOf(node).set('styles', styles)];
  if (facets !== null) return { made, without };
  if (had === has) made.push(editOf(node).set('variants', source.variants));
  const wears = Object.values(source.wears).map(wear => [newId('w'), wear] as const);
  made.push(editOf(node).set('wears', Object.fromEntries(wears)));
  if (source.kind === 'section' && node.kind === 'section')
    made.push(editOf(node).set('scheme', source.scheme));
  const declarations = Object.entries(source.declarations ?? {}).flatMap(([key, text]) => {
    const at = parseDeclarationKey(key);
    const part = at && partIn(had, at.part, has);
    return at && part !== null
      ? [[printDeclarationKey({ ...at, part: part ?? at.part }), text] as const]
      : [];
  });
  if (declarations.length > 0) made.push(editOf(node).set('declarations', Object.fromEntries(declarations)));
  else if (node.declarations) made.push(editOf(node).unset('declarations'));
  return { made, without };
}
