import { LIMITS } from '../../limits/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Area,
  type At,
  byOrder,
  childrenOf,
  type Edit,
  editAt,
  editOf,
  elementOfArea,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  keysBetween,
  MAX_PRESETS_WORN,
  type NodeKind,
  type NodeRecord,
  newId,
  nodesUnder,
  putRecord,
  SETTINGS,
  type SectionRecord,
  type Site,
  sectionsOf,
  subtree,
  type Wear,
  type WidgetRecord,
} from '../../site/index.ts';
import { canAccept, elementNamed, type Held } from '../../widgets/index.ts';
import { placeAmong } from '../order/order.ts';
import { copiedRules } from '../rules/placedRules.ts';

const orderOf = (site: Site, id: Id | undefined): string | null => {
  const record = id === undefined ? undefined : getRecord(site, id);
  return record && 'at' in record ? record.at.order : null;
};

/**
 * Places from number `index` on among the nodes under a parent, or among the pages, and new keys for those that stand too
 * close together. Pages and sections are children of the same, and do not count among each other.
 */
export function placesAt(
  site: Site,
  parent: Id,
  index: number,
  without: readonly Id[],
  count: number,
  among: 'nodes' | 'pages' = 'nodes',
): { orders: string[]; rekeyed: Edit[] } {
  const left = new Set(without);
  const siblings = (
    among === 'pages'
      ? childrenOf(site, parent).filter(id => site.kinds.page.has(id))
      : nodesUnder(site, parent)
  ).filter(id => !left.has(id));
  const list = siblings.map(id => ({ id, order: orderOf(site, id) ?? 'V' }));
  const { orders, rekeyed } = placeAmong(list, index, count);
  return {
    orders,
    rekeyed: rekeyed.map(({ id, order }): Edit => editAt<NodeKind | 'page'>(id).set('at', { parent, order })),
  };
}

/** The same for one. */
export function placeAt(
  site: Site,
  parent: Id,
  index: number,
  without: Id | null,
  among: 'nodes' | 'pages' = 'nodes',
): { order: string; rekeyed: Edit[] } {
  const { orders, rekeyed } = placesAt(site, parent, index, without === null ? [] : [without], 1, among);
  return { order: orders[0] ?? 'V', rekeyed };
}

export interface Made {
  edits: Edit[];
  id: Id;
}

export const emptySection = (site: Site, area: Area, at: At): SectionRecord => ({
  id: newId('s'),
  kind: 'section',
  area,
  name: elementOfArea(area).label,
  at,
  scheme: null,
  rebind: {},
  ...beginningOf(site, elementOfArea(area).name),
  styles: {},
});

export function addSection(site: Site, page: Id, index: number): Made {
  const { order, rekeyed } = placeAt(site, page, index, null);
  const record = emptySection(site, 'main', { parent: page, order });
  return { id: record.id, edits: [...rekeyed, putRecord(record)] };
}

const newWidget = (site: Site, { widget, content }: Held, at: At): WidgetRecord => ({
  id: newId('w'),
  kind: 'widget',
  widget,
  at,
  content: content ?? elementNamed(widget).begins,
  ...beginningOf(site, widget),
  styles: {},
});

/** A new widget with all it holds, the widget itself first. */
function newWidgets(site: Site, held: Held, at: At): WidgetRecord[] {
  const record = newWidget(site, held, at);
  const holds = held.holds ?? elementNamed(held.widget).holdsAtFirst ?? [];
  const orders = keysBetween(null, null, holds.length);
  return [
    record,
    ...holds.flatMap((it, i) => newWidgets(site, it, { parent: record.id, order: orders[i] ?? 'V' })),
  ];
}

/** A new widget, with what such a one holds at first; in some variants besides those that new ones begin with. */
export function addWidget(
  site: Site,
  parent: Id,
  index: number,
  widget: string,
  variants: WidgetRecord['variants'] = {},
): Made {
  const { order, rekeyed } = placeAt(site, parent, index, null);
  const [first, ...others] = newWidgets(site, { widget }, { parent, order });
  if (!first) return { id: parent, edits: rekeyed };
  const dressed = { ...first, variants: { ...first.variants, ...variants } };
  return { id: first.id, edits: [...rekeyed, ...[dressed, ...others].map((it): Edit => putRecord(it))] };
}

/** The variants and presets that new sections or widgets of a type begin with, as the guide says. */
export function beginningOf({ kinds }: Site, element: string): Pick<WidgetRecord, 'variants' | 'wears'> {
  const variants = [...kinds.variant.values()]
    .filter(it => it.begins && it.element === element)
    .map(it => [it.axis, it.id]);
  const presets = [...kinds.preset.values()]
    .filter(it => Object.hasOwn(it.begins ?? {}, element))
    .sort(byOrder)
    .slice(0, MAX_PRESETS_WORN);
  const keys = keysBetween(null, null, presets.length);
  const wears = presets.map(({ id }, i) => [
    newId('w'),
    { preset: id, order: keys[i] ?? 'V', on: true } satisfies Wear,
  ]);
  return { variants: Object.fromEntries(variants), wears: Object.fromEntries(wears) };
}

/** Whether a node can stand in a parent: sections in pages, widgets in what accepts them, never in themselves. */
export function canStandIn(site: Site, node: NodeRecord, parent: Id): boolean {
  if (subtree({ childrenOf: id => childrenOf(site, id) }, node.id).includes(parent)) return false;
  return canHold(site, parent, node);
}

/** Whether a section, or a widget of a type, can stand in a parent at all. */
export function canHold(
  site: Site,
  parent: Id,
  node: Pick<SectionRecord, 'kind' | 'area'> | Pick<WidgetRecord, 'kind' | 'widget'>,
): boolean {
  const target = getRecord(site, parent);
  if (node.kind === 'section')
    return node.area === 'main'
      ? target?.kind === 'page'
      : parent === SETTINGS || sectionsOf(site, parent, node.area).length > 0;
  return isNode(target) && canAccept(elementOfNode(target), elementNamed(node.widget));
}

/**
 * Where a widget that is added comes to stand, seen from what is selected: in that, else right behind what it stands in,
 * the nearest that takes such a widget; null where none does.
 */
export function placeFor(site: Site, from: Id, widget: string): { parent: Id; index: number } | null {
  const element = elementNamed(widget);
  let below: Id | null = null;
  for (let at = getRecord(site, from); isNode(at); at = getRecord(site, at.at.parent)) {
    if (canAccept(elementOfNode(at), element)) {
      const there = nodesUnder(site, at.id);
      return { parent: at.id, index: below === null ? there.length : there.indexOf(below) + 1 };
    }
    below = at.id;
  }
  return null;
}

export function moveNode(site: Site, id: Id, parent: Id, index: number): Result<Edit[]> {
  const node = getRecord(site, id);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: id });
  if (!canStandIn(site, node, parent))
    return fail({
      code: 'bad-parent',
      message: 'It cannot stand there.',
      record: id,
      path: 'at.parent',
      found: parent,
    });
  const siblings = nodesUnder(site, parent);
  if (node.at.parent === parent && siblings.indexOf(id) === index) return ok([]);
  const { order, rekeyed } = placeAt(site, parent, index, id);
  return ok([...rekeyed, editOf(node).set('at', { parent, order })]);
}

/** Places right behind some of those that stand in one place, and new keys for all of them where there is no room. */
function placesBehind(
  site: Site,
  parent: Id,
  roots: ReadonlySet<Id>,
): { orders: Map<Id, string>; rekeyed: Edit[] } {
  const list = nodesUnder(site, parent).map(id => ({ id, order: orderOf(site, id) ?? 'V' }));
  const orders = new Map<Id, string>();
  for (const [i, { id, order }] of list.entries()) {
    if (!roots.has(id)) continue;
    const next = list[i + 1]?.order ?? null;
    const key = next === null || order < next ? keysBetween(order, next, 1)[0] : undefined;
    if (key !== undefined && key.length <= LIMITS.orderKey.rekeyed) orders.set(id, key);
  }
  if (orders.size === roots.size) return { orders, rekeyed: [] };
  const keys = keysBetween(null, null, list.length + roots.size)[Symbol.iterator]();
  const rekeyed = list.map(({ id }): Edit => {
    const order = keys.next().value ?? 'V';
    if (roots.has(id)) orders.set(id, keys.next().value ?? 'V');
    return editAt<NodeKind>(id).set('at', { parent, order });
  });
  return { orders, rekeyed };
}

/** Some nodes with all they hold, the ids of copies of them, and copies of the rules for them. None stands in another. */
export function copiesOf(
  site: Site,
  roots: readonly Id[],
): { nodes: NodeRecord[]; copies: ReadonlyMap<Id, Id>; rules: Edit[] } {
  const copies = new Map<Id, Id>();
  const nodes = roots
    .flatMap(root => subtree({ childrenOf: it => nodesUnder(site, it) }, root))
    .map(id => getRecord(site, id))
    .filter(isNode);
  for (const { id, kind } of nodes) copies.set(id, newId(kind === 'section' ? 's' : 'w'));
  return { nodes, copies, rules: copiedRules(site, copies) };
}

/**
 * Copies of some nodes, of all they hold and of the rules for them, each right behind what it is a copy of; versions that
 * were set aside stay where they are. None of the nodes stands in another.
 */
export function copiesBehind(
  site: Site,
  roots: readonly Id[],
): { edits: Edit[]; copies: ReadonlyMap<Id, Id> } {
  const { nodes, copies, rules } = copiesOf(site, roots);
  const byParent = new Map<Id, Set<Id>>();
  for (const root of roots) {
    const node = getRecord(site, root);
    if (!isNode(node)) continue;
    const there = byParent.get(node.at.parent);
    if (there) there.add(root);
    else byParent.set(node.at.parent, new Set([root]));
  }
  const edits: Edit[] = [];
  const orders = new Map<Id, string>();
  for (const [parent, some] of byParent) {
    const placed = placesBehind(site, parent, some);
    edits.push(...placed.rekeyed);
    for (const [id, order] of placed.orders) orders.set(id, order);
  }
  for (const record of nodes) {
    const order = orders.get(record.id) ?? record.at.order;
    const at = { parent: copies.get(record.at.parent) ?? record.at.parent, order };
    edits.push(putRecord({ ...record, id: copies.get(record.id) ?? record.id, at }));
  }
  edits.push(...rules);
  return { edits, copies };
}

/** The same for one. */
export function duplicateNode(site: Site, id: Id): Result<Made> {
  if (!isNode(getRecord(site, id)))
    return fail({ code: 'gone', message: 'That is no longer there.', record: id });
  const { edits, copies } = copiesBehind(site, [id]);
  return ok({ id: copies.get(id) ?? id, edits });
}

/** The next place in the outline for a move by keys: among its siblings, then out of its parent, or into the one before. */
export function nudge(site: Site, id: Id, direction: 'up' | 'down' | 'in' | 'out'): Result<Edit[]> {
  const node = getRecord(site, id);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: id });
  const { parent } = node.at;
  const siblings = nodesUnder(site, parent);
  const index = siblings.indexOf(id);
  const nowhere = fail({ code: 'nowhere', message: 'It cannot go further that way.', record: id });
  if (direction === 'in') {
    const before = siblings[index - 1];
    return before === undefined || !canStandIn(site, node, before)
      ? nowhere
      : moveNode(site, id, before, nodesUnder(site, before).length);
  }
  if (
    direction === 'out' ||
    (direction === 'up' && index === 0) ||
    (direction === 'down' && index === siblings.length - 1)
  ) {
    const holder = getRecord(site, parent);
    if (!isNode(holder)) return nowhere;
    const around = holder.at.parent;
    const at = nodesUnder(site, around).indexOf(parent);
    if (canStandIn(site, node, around)) return moveNode(site, id, around, direction === 'up' ? at : at + 1);
    // A widget at the end of a section goes on into the next one.
    const next = nodesUnder(site, around)[direction === 'up' ? at - 1 : at + 1];
    if (direction === 'out' || next === undefined || !canStandIn(site, node, next)) return nowhere;
    return moveNode(site, id, next, direction === 'up' ? nodesUnder(site, next).length : 0);
  }
  return moveNode(site, id, parent, direction === 'up' ? index - 1 : index + 1);
}
