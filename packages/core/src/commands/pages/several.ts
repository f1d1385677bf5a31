import type { LinkTarget } from '../../content/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  childrenOf,
  type Edit,
  editAt,
  getRecord,
  type Id,
  isNode,
  type NodeKind,
  newId,
  nodesUnder,
  putRecord,
  removeRecord,
  type Site,
  subtree,
  type WidgetRecord,
} from '../../site/index.ts';
import { elementNamed, isItem } from '../../widgets/index.ts';
import { partFrom } from './relink.ts';
import { canHold, canStandIn, copiesBehind, type Made, placesAt } from './structure.ts';

const GONE = { code: 'gone', message: 'That is no longer there.' } as const;

/** Of several things those that stand in none of the others, in the order in which they stand. */
export function outermost(site: Site, ids: readonly Id[]): Id[] {
  const there = [...new Set(ids)].filter(id => isNode(getRecord(site, id)));
  const inside = new Set(
    there.flatMap(id => subtree({ childrenOf: it => childrenOf(site, it) }, id).slice(1)),
  );
  const places = new Map<Id, ReadonlyMap<Id, number>>();
  const placeIn = (parent: Id, id: Id): number => {
    const known = places.get(parent) ?? new Map(nodesUnder(site, parent).map((it, i) => [it, i]));
    places.set(parent, known);
    return known.get(id) ?? -1;
  };
  const key = (id: Id): number[] => {
    const way: number[] = [];
    for (let at = getRecord(site, id); isNode(at); at = getRecord(site, at.at.parent))
      way.push(placeIn(at.at.parent, at.id));
    return way.reverse();
  };
  const keyed = there.filter(id => !inside.has(id)).map(id => ({ id, way: key(id) }));
  return keyed
    .sort((a, b) => {
      const i = a.way.findIndex((it, k) => it !== b.way[k]);
      return i < 0 ? 0 : (a.way[i] ?? 0) - (b.way[i] ?? -1);
    })
    .map(it => it.id);
}

/** Brings several things to one place, in the order in which they stand; `index` counts without them. */
export function moveNodes(site: Site, ids: readonly Id[], parent: Id, index: number): Result<Edit[]> {
  const moved = outermost(site, ids);
  const nodes = moved.map(id => getRecord(site, id)).filter(isNode);
  if (nodes.length === 0) return fail(GONE);
  const wrong = nodes.find(node => !canStandIn(site, node, parent));
  if (wrong)
    return fail({
      code: 'bad-parent',
      message: 'It cannot stand there.',
      record: wrong.id,
      path: 'at.parent',
      found: parent,
    });
  const moving = new Set(moved);
  const stay = nodesUnder(site, parent).filter(id => !moving.has(id));
  const now = nodesUnder(site, parent);
  const then = [...stay.slice(0, index), ...moved, ...stay.slice(index)];
  if (then.length === now.length && then.every((id, i) => id === now[i])) return ok([]);
  const { orders, rekeyed } = placesAt(site, parent, index, moved, moved.length);
  return ok([
    ...rekeyed,
    ...moved.map((id, i): Edit => editAt<NodeKind>(id).set('at', { parent, order: orders[i] ?? 'V' })),
  ]);
}

/** Takes things away with all they hold. Links that led to a section lead to its page; rules for it go. */
export function removeNodes(site: Site, ids: readonly Id[]): Edit[] {
  const roots = outermost(site, ids);
  const leaving = new Set(roots.flatMap(id => subtree({ childrenOf: it => childrenOf(site, it) }, id)));
  const instead = (link: LinkTarget): LinkTarget =>
    link.type === 'section' && leaving.has(link.section) ? { type: 'page', page: link.page } : link;
  return [...partFrom(site, leaving, instead), ...roots.map((id): Edit => removeRecord(id))];
}

/** A copy of each, right after it. */
export function duplicateNodes(site: Site, ids: readonly Id[]): Result<{ edits: Edit[]; ids: Id[] }> {
  const roots = outermost(site, ids);
  if (roots.length === 0) return fail(GONE);
  const { edits, copies } = copiesBehind(site, roots);
  return ok({ edits, ids: roots.map(id => copies.get(id) ?? id) });
}

/** Puts widgets into a group of their own, where the first of them stood. */
export function groupNodes(site: Site, ids: readonly Id[]): Result<Made> {
  const inner = outermost(site, ids);
  const first = getRecord(site, inner[0] ?? '');
  const widgets = inner.filter(id => site.kinds.widget.has(id));
  if (first?.kind !== 'widget' || widgets.length < inner.length)
    return fail({
      code: 'bad-group',
      message: 'A group holds widgets: pick some that stand in sections.',
    });
  const { parent } = first.at;
  const group = { kind: 'widget', widget: 'group' } as const;
  if (
    !canHold(site, parent, group) ||
    widgets.some(id => isItem(elementNamed(site.kinds.widget.get(id)?.widget ?? 'group')))
  )
    return fail({ code: 'bad-group', message: 'What stands here cannot stand in a group.' });
  const siblings = nodesUnder(site, parent);
  const grouped = new Set(inner);
  const index = siblings.slice(0, siblings.indexOf(first.id)).filter(id => !grouped.has(id)).length;
  const { orders, rekeyed } = placesAt(site, parent, index, inner, 1);
  const record: WidgetRecord = {
    id: newId('w'),
    kind: 'widget',
    widget: 'group',
    at: { parent, order: orders[0] ?? 'V' },
    content: elementNamed('group').begins,
    variants: {},
    wears: {},
    styles: {},
  };
  const { orders: within } = placesAt(site, record.id, 0, [], inner.length);
  return ok({
    id: record.id,
    edits: [
      ...rekeyed,
      putRecord(record),
      ...inner.map(
        (id, i): Edit => editAt<NodeKind>(id).set('at', { parent: record.id, order: within[i] ?? 'V' }),
      ),
    ],
  });
}

/** Takes away what holds some widgets, and leaves them where it stood. */
export function ungroup(site: Site, id: Id): Result<{ edits: Edit[]; ids: Id[] }> {
  const group = site.kinds.widget.get(id);
  const inner = nodesUnder(site, id);
  if (!group || elementNamed(group.widget).holds === null)
    return fail({ code: 'no-group', message: 'It is no group: it holds nothing.', record: id });
  const { parent } = group.at;
  const stuck = inner.map(it => getRecord(site, it)).find(it => isNode(it) && !canHold(site, parent, it));
  if (stuck)
    return fail({
      code: 'bad-group',
      message: 'It cannot be taken apart: what stands in it cannot stand around it.',
      record: id,
    });
  const { orders, rekeyed } = placesAt(
    site,
    parent,
    nodesUnder(site, parent).indexOf(id),
    [id],
    inner.length,
  );
  return ok({
    ids: inner,
    edits: [
      ...rekeyed,
      ...inner.map((it, i): Edit => editAt<NodeKind>(it).set('at', { parent, order: orders[i] ?? 'V' })),
      removeRecord(id),
    ],
  });
}
