import { elementOfNode } from '../render/sources.ts';
import { fail, ok, type Result } from '../result/index.ts';
import {
  byOrder,
  type Edit,
  getRecord,
  type Id,
  isNode,
  keyBetween,
  keysBetween,
  MAX_PRESETS_WORN,
  newId,
  parseSlot,
  printSlot,
  type Site,
  type Styles,
  type Wear,
} from '../site/index.ts';
import { partOf } from '../widgets/index.ts';

const wornBy = (wears: Readonly<Record<Id, Wear>>) =>
  Object.entries(wears)
    .map(([id, wear]) => ({ id, ...wear }))
    .sort(byOrder);

const lastOrder = (items: Iterable<{ order: string }>) => {
  let last: string | null = null;
  for (const { order } of items) if (last === null || order > last) last = order;
  return last;
};

/** A preset from what a node sets itself: the node wears it from then on, and sets those values no longer. */
export function makePreset(site: Site, nodeId: Id, name: string): Result<{ edits: Edit[]; preset: Id }> {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: nodeId });
  if (Object.keys(node.styles).length === 0)
    return fail({
      code: 'nothing-set',
      message: 'Nothing is set here yet. Set a value, then make a preset of it.',
      record: nodeId,
    });
  if (Object.keys(node.wears).length >= MAX_PRESETS_WORN)
    return fail({
      code: 'too-many',
      message: `It wears ${MAX_PRESETS_WORN} presets already. Take one off first.`,
      record: nodeId,
    });
  const element = elementOfNode(node);
  const styles: Record<string, Styles[string]> = {};
  for (const [slot, value] of Object.entries(node.styles)) {
    const parts = parseSlot(slot);
    const kind = parts && partOf(element, parts.part)?.kind;
    if (parts && kind) styles[printSlot({ ...parts, part: kind })] ??= value;
  }
  const preset = newId('p');
  const wear = newId('w');
  const order = keyBetween(lastOrder(site.kinds.preset.values()), null);
  const worn: Wear = { preset, order: keyBetween(lastOrder(Object.values(node.wears)), null), on: true };
  return ok({
    preset,
    edits: [
      { op: 'put', record: { id: preset, kind: 'preset', name, order, styles } },
      { op: 'set', id: nodeId, path: ['wears', wear], value: worn },
      { op: 'set', id: nodeId, path: ['styles'], value: {} },
    ],
  });
}

export function wearPreset(site: Site, nodeId: Id, preset: Id): Result<Edit[]> {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: nodeId });
  const worn = Object.values(node.wears);
  if (worn.some(wear => wear.preset === preset))
    return fail({ code: 'worn', message: 'It wears that preset already.', record: nodeId });
  if (worn.length >= MAX_PRESETS_WORN)
    return fail({
      code: 'too-many',
      message: `It wears ${MAX_PRESETS_WORN} presets already. Take one off first.`,
      record: nodeId,
    });
  const value: Wear = { preset, order: keyBetween(lastOrder(worn), null), on: true };
  return ok([{ op: 'set', id: nodeId, path: ['wears', newId('w')], value }]);
}

export const takeOff = (node: Id, wear: Id): Edit[] => [{ op: 'unset', id: node, path: ['wears', wear] }];

export function switchPreset(site: Site, nodeId: Id, wear: Id): Edit[] {
  const node = getRecord(site, nodeId);
  const worn = isNode(node) ? node.wears[wear] : undefined;
  return worn ? [{ op: 'set', id: nodeId, path: ['wears', wear], value: { ...worn, on: !worn.on } }] : [];
}

/** Moves a worn preset one place: -1 earlier (weaker), 1 later (stronger). */
export function moveWear(site: Site, nodeId: Id, wear: Id, by: -1 | 1): Edit[] {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return [];
  const list = wornBy(node.wears);
  const from = list.findIndex(it => it.id === wear);
  const moving = list[from];
  if (!moving || !list[from + by]) return [];
  list.splice(from, 1);
  list.splice(from + by, 0, moving);
  const keys = keysBetween(null, null, list.length);
  return list.flatMap((it, i): Edit[] => {
    const order = keys[i] ?? it.order;
    return order === it.order
      ? []
      : [{ op: 'set', id: nodeId, path: ['wears', it.id], value: { preset: it.preset, on: it.on, order } }];
  });
}

/** Where a preset is worn. */
export const wearersOf = (site: Site, preset: Id): Id[] =>
  [...site.kinds.section.values(), ...site.kinds.widget.values()]
    .filter(({ wears }) => Object.values(wears).some(wear => wear.preset === preset))
    .map(({ id }) => id);

/** Takes a preset away everywhere, then the preset itself. */
export const removePreset = (site: Site, preset: Id): Edit[] => [
  ...wearersOf(site, preset).flatMap((id): Edit[] => {
    const node = getRecord(site, id);
    const worn = isNode(node) ? wornBy(node.wears).filter(wear => wear.preset === preset) : [];
    return worn.flatMap(wear => takeOff(id, wear.id));
  }),
  { op: 'remove', id: preset },
];
