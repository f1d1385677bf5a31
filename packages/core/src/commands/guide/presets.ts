import { presetStyles, presetsWithin } from '../../guide/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { PRESET_USES, type PresetUse } from '../../properties/index.ts';
import { usersOf } from '../../reach/mentions.ts';
import { fail, ok, type Problem, type Result } from '../../result/index.ts';
import { includedIn } from '../../site/includedIn.ts';
import {
  byOrder,
  type Edit,
  editAt,
  editOf,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  keysBetween,
  MAX_PRESETS_WORN,
  type NodeKind,
  type NodeRecord,
  newId,
  type PresetRecord,
  putRecord,
  removeRecord,
  type Site,
  stableText,
  type Wear,
} from '../../site/index.ts';
import { parseSlot, printSlot, type Slot } from '../../slots/index.ts';
import type { Value } from '../../values/index.ts';
import {
  type ElementType,
  elementNamed,
  partNames,
  partOf,
  presetNamesOf,
  statesOf,
  styledParts,
} from '../../widgets/index.ts';
import { keyAtEnd, placeBehind } from '../order/order.ts';
import { isForPresets } from './forPresets.ts';
import { stylesByKind } from './promote.ts';

const wornBy = (wears: Readonly<Record<Id, Wear>>) =>
  Object.entries(wears)
    .map(([id, wear]) => ({ id, ...wear }))
    .sort(byOrder);

const tooMany = (node: Id): Problem => ({
  code: 'too-many',
  message: `It wears ${MAX_PRESETS_WORN} presets already. Take one off first.`,
  record: node,
});

/** A preset, last in the list; an empty one where nothing is said. */
export function addPreset(
  site: Site,
  name: string,
  said: Partial<Pick<PresetRecord, 'use' | 'styles'>> = {},
): { edits: Edit[]; id: Id } {
  const id = newId('p');
  const record: PresetRecord = {
    id,
    kind: 'preset',
    name: uniqueName(name, namesTaken(site.kinds.preset.values())),
    order: keyAtEnd(site.kinds.preset.values()),
    styles: {},
    ...said,
  };
  return { id, edits: [putRecord(record)] };
}

export function duplicatePreset(site: Site, id: Id): Result<{ edits: Edit[]; id: Id }> {
  const preset = site.kinds.preset.get(id);
  if (!preset) return fail({ code: 'gone', message: 'That preset is no longer there.', record: id });
  const made = newId('p');
  const { begins: _, ...rest } = preset;
  const { order, rekeyed } = placeBehind(site.kinds.preset.values(), preset);
  const record: PresetRecord = {
    ...rest,
    id: made,
    name: uniqueName(preset.name, namesTaken(site.kinds.preset.values())),
    order,
  };
  return ok({ id: made, edits: [...rekeyed, putRecord(record)] });
}

/** Puts one preset within another, above those that are in it already. */
export function includePreset(site: Site, id: Id, inner: Id): Result<Edit[]> {
  const preset = site.kinds.preset.get(id);
  if (!preset || !site.kinds.preset.has(inner))
    return fail({ code: 'gone', message: 'That preset is no longer there.', record: id });
  if (presetsWithin(site, inner).includes(id))
    return fail({
      code: 'circular',
      message: 'A preset cannot hold itself.',
      record: id,
      path: 'includes',
      found: inner,
      expected: 'a preset that does not hold this one',
    });
  if (includedIn(preset).includes(inner))
    return fail({ code: 'there', message: 'It holds that preset already.', record: id });
  const value = { preset: inner, order: keyAtEnd(Object.values(preset.includes ?? {})) };
  return ok([editOf(preset).setIn('includes', newId('i'), value)]);
}

export function excludePreset(site: Site, id: Id, inner: Id): Edit[] {
  const includes = site.kinds.preset.get(id)?.includes ?? {};
  return Object.entries(includes).flatMap(([key, it]): Edit[] =>
    it.preset === inner ? [editAt<'preset'>(id).unsetIn('includes', key)] : [],
  );
}

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
  if (Object.keys(node.wears).length >= MAX_PRESETS_WORN) return fail(tooMany(nodeId));
  const styles = stylesByKind(elementOfNode(node), node.styles, Object.keys(node.styles));
  // What lies behind a section or beside a picture is no kind of part: it stays where it was set.
  const stays = Object.entries(node.styles).filter(([slot]) => !isForPresets(node, slot));
  const preset = newId('p');
  const wear = newId('w');
  const order = keyAtEnd(site.kinds.preset.values());
  const worn: Wear = { preset, order: keyAtEnd(Object.values(node.wears)), on: true };
  return ok({
    preset,
    edits: [
      putRecord({ id: preset, kind: 'preset', name, order, styles }),
      editOf(node).setIn('wears', wear, worn),
      editOf(node).set('styles', Object.fromEntries(stays)),
    ],
  });
}

/** Slots of a thing that belong to a use, and what a preset made for it says of them. */
export function stylesOfUse(
  node: NodeRecord,
  use: PresetUse,
): { slots: Slot[]; styles: Record<Slot, Value> } {
  const element = elementOfNode(node);
  const { parts: known } = PRESET_USES[use];
  const slots: Slot[] = [];
  const styles: Record<Slot, Value> = {};
  for (const [slot, value] of Object.entries(node.styles)) {
    const parts = parseSlot(slot);
    const names = parts ? presetNamesOf(element, parts.part) : [];
    const name = names.find(it => Object.hasOwn(known, it));
    if (!parts || name === undefined) continue;
    slots.push(slot);
    styles[printSlot({ ...parts, part: name })] ??= value;
  }
  return { slots, styles };
}

/** A ground or a treatment from what a thing sets itself; the thing wears it from then on, and nothing else looks otherwise. */
export function keepForUse(
  site: Site,
  nodeId: Id,
  use: PresetUse,
  name: string,
): Result<{ edits: Edit[]; preset: Id }> {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: nodeId });
  const { slots, styles } = stylesOfUse(node, use);
  if (slots.length === 0)
    return fail({
      code: 'nothing-set',
      message: `Nothing of a ${PRESET_USES[use].label.toLowerCase()} is set here yet.`,
      record: nodeId,
    });
  const worn = presetWornFor(site, node, use);
  const base = worn && presetStyles(site, worn.preset).styles;
  const made = addPreset(site, name, { use, styles: { ...base, ...styles } });
  if (!worn && Object.keys(node.wears).length >= MAX_PRESETS_WORN) return fail(tooMany(nodeId));
  const wear: Wear = worn
    ? { preset: made.id, order: worn.order, on: true }
    : { preset: made.id, order: keyAtEnd(Object.values(node.wears)), on: true };
  return ok({
    preset: made.id,
    edits: [
      ...made.edits,
      editOf(node).setIn('wears', worn?.id ?? newId('w'), wear),
      ...slots.map((slot): Edit => editOf(node).unsetIn('styles', slot)),
    ],
  });
}

/** The ground or treatment that a thing wears; null for none. */
export function presetWornFor(site: Site, node: NodeRecord, use: PresetUse): (Wear & { id: Id }) | null {
  return wornBy(node.wears).find(it => site.kinds.preset.get(it.preset)?.use === use) ?? null;
}

/** Whether a thing has the parts that a use is about. */
export const hasUse = (element: ElementType, use: PresetUse): boolean =>
  use === 'ground'
    ? partNames(element).some(part => partOf(element, part)?.as === 'fill')
    : styledParts(element).some(part => partOf(element, part)?.kind === 'picture');

/** Has a thing wear another ground or treatment in the place of the one that it wears; none where null. */
export function wearForUse(site: Site, nodeId: Id, use: PresetUse, preset: Id | null): Result<Edit[]> {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: nodeId });
  if (preset !== null) return wearPreset(site, nodeId, preset);
  const worn = presetWornFor(site, node, use);
  return ok(worn ? takeOff(nodeId, worn.id) : []);
}

/** A preset from what a rule of the guide sets: a default, or a variant. The rule stays as it is. */
export function presetOfRule(site: Site, rule: Id, name: string): Result<{ edits: Edit[]; id: Id }> {
  const record = getRecord(site, rule);
  if (record?.kind !== 'default' && record?.kind !== 'variant')
    return fail({ code: 'nothing-set', message: 'Nothing is set here yet.', record: rule });
  const styles = stylesByKind(elementNamed(record.element), record.styles, Object.keys(record.styles));
  if (Object.keys(styles).length === 0)
    return fail({
      code: 'nothing-set',
      message: 'Nothing is set here that a preset could hold.',
      record: rule,
    });
  return ok(addPreset(site, name, { styles }));
}

export function wearPreset(site: Site, nodeId: Id, preset: Id): Result<Edit[]> {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return fail({ code: 'gone', message: 'That is no longer there.', record: nodeId });
  const worn = Object.values(node.wears);
  if (worn.some(wear => wear.preset === preset))
    return fail({ code: 'worn', message: 'It wears that preset already.', record: nodeId });
  const value: Wear = { preset, order: keyAtEnd(worn), on: true };
  const { set, use } = site.kinds.preset.get(preset) ?? {};
  // Of presets that exclude each other, the one put on takes off the others.
  const off = Object.entries(node.wears).flatMap(([id, wear]) => {
    const other = site.kinds.preset.get(wear.preset);
    const excludes = (set !== undefined && other?.set === set) || (use !== undefined && other?.use === use);
    return excludes ? takeOff(nodeId, id) : [];
  });
  if (worn.length - off.length >= MAX_PRESETS_WORN) return fail(tooMany(nodeId));
  return ok([...off, editOf(node).setIn('wears', newId('w'), value)]);
}

/** Presets that would reach some part of a thing, in the order of the guide: those of a kind of part that it has. */
export function fittingPresets(site: Site, node: NodeRecord): PresetRecord[] {
  const element = elementOfNode(node);
  const kinds = new Set(partNames(element).flatMap(part => presetNamesOf(element, part)));
  return [...site.kinds.preset.values()].sort(byOrder).filter(({ id }) => {
    const parts = Object.keys(presetStyles(site, id).styles).map(slot => parseSlot(slot)?.part ?? '');
    // One that says nothing yet fits everywhere.
    return parts.length === 0 || parts.some(kind => kinds.has(kind));
  });
}

export const takeOff = (node: Id, wear: Id): Edit[] => [editAt<NodeKind>(node).unsetIn('wears', wear)];

export function switchPreset(site: Site, nodeId: Id, wear: Id): Edit[] {
  const node = getRecord(site, nodeId);
  const worn = isNode(node) ? node.wears[wear] : undefined;
  return worn ? [editAt<NodeKind>(nodeId).setIn('wears', wear, { ...worn, on: !worn.on })] : [];
}

/** Brings a preset that is worn to place number `index` among those worn. */
export function placeWear(site: Site, nodeId: Id, wear: Id, index: number): Edit[] {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return [];
  const list = wornBy(node.wears);
  const from = list.findIndex(it => it.id === wear);
  const [moving] = from < 0 ? [] : list.splice(from, 1);
  if (!moving || from === index || index < 0 || index > list.length) return [];
  list.splice(index, 0, moving);
  const keys = keysBetween(null, null, list.length);
  return list.flatMap((it, i): Edit[] => {
    const order = keys[i] ?? it.order;
    return order === it.order
      ? []
      : [editAt<NodeKind>(nodeId).setIn('wears', it.id, { preset: it.preset, on: it.on, order })];
  });
}

/** Where a preset is worn. */
export const wearersOf = (site: Site, preset: Id): Id[] =>
  usersOf(site, preset).filter(id => isNode(getRecord(site, id)));

/** Puts the values of one worn preset on the node itself, where nothing later sets them, and takes the preset off. */
export function letGo(site: Site, nodeId: Id, wearId: Id): Edit[] {
  const node = getRecord(site, nodeId);
  if (!isNode(node)) return [];
  const list = wornBy(node.wears);
  const at = list.findIndex(it => it.id === wearId);
  const worn = list[at];
  if (!worn) return [];
  if (!worn.on) return takeOff(nodeId, wearId);
  const later = list.slice(at + 1).filter(it => it.on);
  const hidden = (slot: Slot) => later.some(it => Object.hasOwn(presetStyles(site, it.preset).styles, slot));
  const element = elementOfNode(node);
  const styles: Record<Slot, Value> = {};
  for (const [slot, value] of Object.entries(presetStyles(site, worn.preset).styles)) {
    const parts = parseSlot(slot);
    if (!parts || hidden(slot)) continue;
    for (const part of partNames(element)) {
      if (!presetNamesOf(element, part).includes(parts.part)) continue;
      if (parts.state !== 'rest' && !statesOf(element, part).includes(parts.state)) continue;
      styles[printSlot({ ...parts, part })] = value;
    }
  }
  return [...takeOff(nodeId, wearId), editOf(node).set('styles', { ...styles, ...node.styles })];
}

/** What becomes of those who wear a preset that goes. */
export type Farewell = { type: 'takeOff' } | { type: 'letGo' } | { type: 'replace'; by: Id };

/** Takes a preset away, with every mention of it. */
export function removePreset(site: Site, preset: Id, farewell: Farewell = { type: 'takeOff' }): Edit[] {
  const by = farewell.type === 'replace' ? farewell.by : null;
  const nodes = wearersOf(site, preset).flatMap((id): Edit[] => {
    const node = getRecord(site, id);
    const list = isNode(node) ? wornBy(node.wears) : [];
    return list
      .filter(wear => wear.preset === preset)
      .flatMap((wear): Edit[] => {
        if (farewell.type === 'letGo') return letGo(site, id, wear.id);
        if (by === null || list.some(it => it.preset === by)) return takeOff(id, wear.id);
        const value: Wear = { preset: by, order: wear.order, on: wear.on };
        return [editAt<NodeKind>(id).setIn('wears', wear.id, value)];
      });
  });
  const holders = [...site.kinds.preset.values()].flatMap((it): Edit[] => {
    if (!includedIn(it).includes(preset)) return [];
    const out = excludePreset(site, it.id, preset);
    if (farewell.type === 'letGo') {
      const within = presetStyles(site, preset).styles;
      const said = presetStyles(site, it.id).styles;
      const kept = Object.fromEntries(Object.entries(within).filter(([slot, value]) => said[slot] === value));
      return [...out, editOf(it).set('styles', { ...kept, ...it.styles })];
    }
    if (by === null || it.id === by || includedIn(it).includes(by)) return out;
    const [key, included] = Object.entries(it.includes ?? {}).find(([, one]) => one.preset === preset) ?? [];
    return key && included && !presetsWithin(site, by).includes(it.id)
      ? [editOf(it).setIn('includes', key, { ...included, preset: by })]
      : out;
  });
  const replaced = [...site.kinds.preset.values()].flatMap((it): Edit[] =>
    Object.entries(it.instead ?? {}).flatMap(([scheme, to]): Edit[] => {
      if (to !== preset || it.id === preset) return [];
      return [insteadIn(it.id, scheme, by === it.id ? null : by)];
    }),
  );
  return [...nodes, ...holders, ...replaced, removeRecord(preset)];
}

/** Says which preset holds in a scheme in the place of one; with null it holds there itself. */
export const insteadIn = (preset: Id, scheme: Id, by: Id | null): Edit =>
  by === null
    ? editAt<'preset'>(preset).unsetIn('instead', scheme)
    : editAt<'preset'>(preset).setIn('instead', scheme, by);

/** Presets that nothing wears and no other holds. */
export const unusedPresets = (site: Site): Id[] =>
  [...site.kinds.preset.values()]
    .sort(byOrder)
    .filter(({ id, begins }) => usersOf(site, id).length === 0 && Object.keys(begins ?? {}).length === 0)
    .map(({ id }) => id);

export interface NearPresets {
  a: Id;
  b: Id;
  /** Slots of either that the other lacks or sets to something else. */
  differ: number;
}

/** Pairs of presets that are listed, at most: nobody mends more at a sitting. */
const MOST_PAIRS = 500;

/**
 * Presets of which at least three quarters of the slots say the same, the most alike first; empty ones are left out. Only
 * those are compared that say something alike.
 */
export function nearPresets(site: Site): NearPresets[] {
  const all = [...site.kinds.preset.values()].sort(byOrder).map(({ id, set }) => {
    const { styles } = presetStyles(site, id);
    return { id, set, said: Object.entries(styles).map(([slot, it]) => `${slot} ${stableText(it)}`) };
  });
  /** Numbers of the presets before this one, by what they say. */
  const saying = new Map<string, number[]>();
  const near: NearPresets[] = [];
  for (const [i, b] of all.entries()) {
    const shared = new Map<number, number>();
    for (const text of b.said)
      for (const k of saying.get(text) ?? []) shared.set(k, (shared.get(k) ?? 0) + 1);
    for (const [k, same] of shared) {
      const a = all[k];
      // Those of one set are meant to differ in little.
      if (!a || (a.set !== undefined && a.set === b.set)) continue;
      const either = a.said.length + b.said.length - same;
      if (same >= 0.75 * either) near.push({ a: a.id, b: b.id, differ: either - same });
    }
    if (near.length >= MOST_PAIRS) break;
    for (const text of b.said) {
      const there = saying.get(text);
      if (there) there.push(i);
      else saying.set(text, [i]);
    }
  }
  return near.sort((x, y) => x.differ - y.differ);
}
