import { variantsOf } from '../../guide/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { mentionsOf } from '../../reach/mentions.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editAt,
  editOf,
  type Id,
  type NodeKind,
  newId,
  placedId,
  putRecord,
  removeRecord,
  type Site,
  type VariantRecord,
} from '../../site/index.ts';
import { keyAtEnd, placeBehind, reorder } from '../order/order.ts';

const gone = (id: Id) => fail({ code: 'gone', message: 'That variant is no longer there.', record: id });

/** A name that no other variant of the axis has. */
export const nameFor = (site: Site, element: string, axis: string, wanted: string): string =>
  uniqueName(wanted.trim() || 'Variant', namesTaken(variantsOf(site, element, axis)));

/** A variant that sets nothing yet, last of its axis. */
export function addVariant(
  site: Site,
  element: string,
  axis: string,
  name: string,
): { edits: Edit[]; id: Id } {
  const siblings = variantsOf(site, element, axis);
  const record: VariantRecord = {
    id: newId('v'),
    kind: 'variant',
    element,
    axis,
    name: nameFor(site, element, axis, name),
    order: keyAtEnd(siblings),
    styles: {},
  };
  return { id: record.id, edits: [putRecord(record)] };
}

/** A copy right behind the variant, with what is set again for places. */
export function duplicateVariant(site: Site, id: Id): Result<{ edits: Edit[]; id: Id }> {
  const variant = site.kinds.variant.get(id);
  if (!variant) return gone(id);
  const siblings = variantsOf(site, variant.element, variant.axis);
  const made = newId('v');
  const { begins: _, ...rest } = variant;
  const { order, rekeyed } = placeBehind(siblings, variant);
  const record: VariantRecord = {
    ...rest,
    id: made,
    name: nameFor(site, variant.element, variant.axis, variant.name),
    order,
  };
  const rules = [...site.kinds.variantRule.values()].flatMap((rule): Edit[] => {
    if (rule.variant !== id) return [];
    const copy = { ...rule, variant: made };
    return [putRecord({ ...copy, id: placedId(copy) })];
  });
  return ok({ id: made, edits: [...rekeyed, putRecord(record), ...rules] });
}

/** Moves a variant to place `index` of its axis. */
export function moveVariant(site: Site, id: Id, index: number): Edit[] {
  const variant = site.kinds.variant.get(id);
  return variant ? reorder(variantsOf(site, variant.element, variant.axis), variant, index) : [];
}

/** Lets new elements begin with a variant, or no longer; one of an axis at a time. */
export function beginWithVariant(site: Site, id: Id, begins: boolean): Edit[] {
  const variant = site.kinds.variant.get(id);
  if (!variant) return [];
  const others = variantsOf(site, variant.element, variant.axis).filter(it => it.begins && it.id !== id);
  return begins
    ? [
        ...others.map(({ id }): Edit => editAt<'variant'>(id).unset('begins')),
        editOf(variant).set('begins', true),
      ]
    : [editOf(variant).unset('begins')];
}

/**
 * Takes a variant away, with what is set again for places. What wears it wears the other of its axis instead, or none where
 * `by` is null.
 */
export function removeVariant(site: Site, id: Id, by: Id | null): Result<Edit[]> {
  const variant = site.kinds.variant.get(id);
  const other = by === null ? null : site.kinds.variant.get(by);
  if (!variant) return gone(id);
  if (other !== null && (other?.element !== variant.element || other.axis !== variant.axis || by === id))
    return fail({
      code: 'wrong-variant',
      message: 'Choose another variant of the same kind for what wears this one.',
      record: id,
    });
  const edits = mentionsOf(site, id).flatMap(({ from, path }): Edit[] => {
    if (path === 'variant') return [removeRecord(from)];
    const edit = editAt<NodeKind>(from);
    return [by === null ? edit.unsetIn('variants', variant.axis) : edit.setIn('variants', variant.axis, by)];
  });
  return ok([...edits, removeRecord(id)]);
}
