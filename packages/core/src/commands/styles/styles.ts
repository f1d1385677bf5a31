import {
  type DeclarationParts,
  type DefaultRecord,
  type Edit,
  editAt,
  editOf,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  type Place,
  parseDeclarationKey,
  placedId,
  printDeclarationKey,
  putRecord,
  removeRecord,
  type Site,
  type SiteRecord,
  type VariantRecord,
  type VariantRuleRecord,
} from '../../site/index.ts';
import { parseSlot, printSlot, type Slot } from '../../slots/index.ts';
import type { TypedDeclarations } from '../../tokens/index.ts';
import type { Value } from '../../values/index.ts';

/** Where a value can be set by hand; a default and a variant may be set again for a place. */
export type StyleTarget =
  | { type: 'record'; id: Id }
  | { type: 'default'; element: string; place?: Place | null }
  | { type: 'variantRule'; variant: Id; place: Place };

/** The record that is made where a value is set and nobody has set one there yet. */
function emptyRule(target: Exclude<StyleTarget, { type: 'record' }>): DefaultRecord | VariantRuleRecord {
  const styles = {};
  if (target.type === 'variantRule') {
    const rule = { kind: 'variantRule', variant: target.variant, place: target.place } as const;
    return { id: placedId(rule), ...rule, styles };
  }
  const rule = { kind: 'default', element: target.element, place: target.place ?? null } as const;
  return { id: placedId(rule), ...rule, styles };
}

/** The record a target stands for; a rule may not exist yet. */
export const targetId = (target: StyleTarget): Id =>
  target.type === 'record' ? target.id : emptyRule(target).id;

/** Sets a slot, or takes its value away where `value` is null. */
export function setSlot(site: Site, target: StyleTarget, slot: Slot, value: Value | null): Edit[] {
  const id = targetId(target);
  const record = getRecord(site, id);
  if (!record && target.type !== 'record')
    return value ? [putRecord({ ...emptyRule(target), styles: { [slot]: value } })] : [];
  if (!record || !('styles' in record)) return [];
  if (value === null)
    return Object.hasOwn(record.styles, slot) ? [editOf(record).unsetIn('styles', slot)] : [];
  return [editOf(record).setIn('styles', slot, value)];
}

/** Sets several slots at once; those whose value is null are taken away. */
export function setSlots(
  site: Site,
  target: StyleTarget,
  values: Readonly<Record<Slot, Value | null>>,
): Edit[] {
  const wanted = Object.entries(values);
  if (target.type === 'record' || getRecord(site, targetId(target)))
    return wanted.flatMap(([slot, value]) => setSlot(site, target, slot, value));
  const styles = Object.fromEntries(
    wanted.flatMap(([slot, value]): [Slot, Value][] => (value ? [[slot, value]] : [])),
  );
  return Object.keys(styles).length === 0 ? [] : [putRecord({ ...emptyRule(target), styles })];
}

type Declaring = NodeRecord | DefaultRecord | VariantRecord | VariantRuleRecord;
const declares = (record: SiteRecord | undefined): record is Declaring =>
  isNode(record) ||
  record?.kind === 'default' ||
  record?.kind === 'variant' ||
  record?.kind === 'variantRule';

/** Sets what was typed as CSS for a part in a state and width: slots for what is followed, declarations for what is not. */
export function setTyped(
  site: Site,
  target: StyleTarget,
  at: Pick<DeclarationParts, 'part' | 'state' | 'width'>,
  { followed, unfollowed }: TypedDeclarations,
): Edit[] {
  const id = targetId(target);
  const styles = followed.map(([row, value]) => [printSlot({ ...at, property: row.name }), value] as const);
  const declarations = unfollowed.map(
    ([css, value]) => [printDeclarationKey({ ...at, css }), value] as const,
  );
  const record = getRecord(site, id);
  if (!record && target.type !== 'record')
    return [
      putRecord({
        ...emptyRule(target),
        styles: Object.fromEntries(styles),
        ...(declarations.length > 0 && { declarations: Object.fromEntries(declarations) }),
      }),
    ];
  return [
    ...setSlots(site, target, Object.fromEntries(styles)),
    ...declarations.map(
      ([key, value]): Edit => editAt<Declaring['kind']>(id).setIn('declarations', key, value),
    ),
  ];
}

/** Takes away a declaration that is not followed. */
export function removeDeclaration(site: Site, id: Id, key: string): Edit[] {
  const record = getRecord(site, id);
  if (!declares(record) || record.declarations?.[key] === undefined) return [];
  const last = Object.keys(record.declarations).length === 1;
  const edit = editOf(record);
  return [last ? edit.unset('declarations') : edit.unsetIn('declarations', key)];
}

/** Takes away everything a node sets itself; its presets and variants stay. */
export function resetNode(site: Site, id: Id): Edit[] {
  const record = getRecord(site, id);
  if (!isNode(record)) return [];
  return [
    ...(Object.keys(record.styles).length > 0 ? [editOf(record).set('styles', {})] : []),
    ...(record.declarations ? [editOf(record).unset('declarations')] : []),
  ];
}

/** How far a reset goes: one part of one rule, the whole rule, or all that the guide says of an element. */
export type ResetReach =
  | { type: 'part'; record: Id; part: string }
  | { type: 'rule'; record: Id }
  | { type: 'element'; element: string };

/**
 * Takes away what the guide sets, so that what stands below holds again: the default below a variant, the program below a
 * default. Variants stay, empty; rules for a place go.
 */
export function resetGuide(site: Site, reach: ResetReach): Edit[] {
  const { default: defaults, variant, variantRule } = site.kinds;
  if (reach.type === 'element') {
    const variants = [...variant.values()].filter(it => it.element === reach.element);
    return [
      ...[...defaults.values()]
        .filter(it => it.element === reach.element)
        .map((it): Edit => removeRecord(it.id)),
      ...[...variantRule.values()]
        .filter(it => variants.some(({ id }) => id === it.variant))
        .map((it): Edit => removeRecord(it.id)),
      ...variants.flatMap(({ id }) => resetGuide(site, { type: 'rule', record: id })),
    ];
  }
  const record = getRecord(site, reach.record);
  if (!declares(record)) return [];
  const goes = (part: string | undefined) => reach.type === 'rule' || part === reach.part;
  const { styles, declarations = {} } = record;
  const edit = editOf(record);
  const gone = [
    ...Object.keys(styles)
      .filter(slot => goes(parseSlot(slot)?.part))
      .map(slot => edit.unsetIn('styles', slot)),
    ...Object.keys(declarations)
      .filter(key => goes(parseDeclarationKey(key)?.part))
      .map(key => edit.unsetIn('declarations', key)),
  ];
  if (gone.length === 0) return [];
  const all = gone.length === Object.keys(styles).length + Object.keys(declarations).length;
  if (all && (record.kind === 'default' || record.kind === 'variantRule')) return [removeRecord(record.id)];
  return gone;
}

/** Takes away all that the guide says of every element; tokens, schemes, text styles and presets stay. */
export function resetAllElements(site: Site): Edit[] {
  const elements = new Set([
    ...Array.from(site.kinds.default.values(), it => it.element),
    ...Array.from(site.kinds.variant.values(), it => it.element),
  ]);
  return [...elements].flatMap(element => resetGuide(site, { type: 'element', element }));
}
