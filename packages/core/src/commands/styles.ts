import {
  type DefaultRecord,
  type Edit,
  getRecord,
  type Id,
  isNode,
  type Place,
  parseSlot,
  placedId,
  type Site,
  type Slot,
  type VariantRuleRecord,
} from '../site/index.ts';
import type { Value } from '../values/index.ts';

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
    return value ? [{ op: 'put', record: { ...emptyRule(target), styles: { [slot]: value } } }] : [];
  if (!record || !('styles' in record)) return [];
  if (value === null)
    return Object.hasOwn(record.styles, slot) ? [{ op: 'unset', id, path: ['styles', slot] }] : [];
  return [{ op: 'set', id, path: ['styles', slot], value }];
}

/** Takes away everything a node sets itself; its presets and variants stay. */
export function resetNode(site: Site, id: Id): Edit[] {
  const record = getRecord(site, id);
  return isNode(record) && Object.keys(record.styles).length > 0
    ? [{ op: 'set', id, path: ['styles'], value: {} }]
    : [];
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
        .map((it): Edit => ({ op: 'remove', id: it.id })),
      ...[...variantRule.values()]
        .filter(it => variants.some(({ id }) => id === it.variant))
        .map((it): Edit => ({ op: 'remove', id: it.id })),
      ...variants
        .filter(it => Object.keys(it.styles).length > 0)
        .map((it): Edit => ({ op: 'set', id: it.id, path: ['styles'], value: {} })),
    ];
  }
  const record = getRecord(site, reach.record);
  if (!record || !('styles' in record)) return [];
  const gone = Object.keys(record.styles).filter(
    slot => reach.type === 'rule' || parseSlot(slot)?.part === reach.part,
  );
  if (gone.length === 0) return [];
  const all = gone.length === Object.keys(record.styles).length;
  if (all && (record.kind === 'default' || record.kind === 'variantRule'))
    return [{ op: 'remove', id: record.id }];
  return gone.map((slot): Edit => ({ op: 'unset', id: record.id, path: ['styles', slot] }));
}

/** Takes away all that the guide says of every element; tokens, schemes, text styles and presets stay. */
export function resetAllElements(site: Site): Edit[] {
  const elements = new Set([
    ...Array.from(site.kinds.default.values(), it => it.element),
    ...Array.from(site.kinds.variant.values(), it => it.element),
  ]);
  return [...elements].flatMap(element => resetGuide(site, { type: 'element', element }));
}
