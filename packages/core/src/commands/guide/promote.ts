import { computedStyles, nodeScope } from '../../cascade/index.ts';
import { isPresetKind } from '../../properties/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  applyChange,
  type Edit,
  editOf,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  locationOf,
  type NodeRecord,
  type Place,
  putRecord,
  type Site,
  settingsOf,
  stableText,
} from '../../site/index.ts';
import { parseSlot, printSlot, type Slot, type State, type Styles, type Width } from '../../slots/index.ts';
import { isLoose, type LiteralType, tokenTypeOf, type Value } from '../../values/index.ts';
import { type ElementType, partNames, partOf } from '../../widgets/index.ts';
import { type StyleTarget, setSlots } from '../styles/styles.ts';
import { addToken } from '../tokens/tokens.ts';
import { isForPresets } from './forPresets.ts';
import { addVariant, duplicateVariant, nameFor } from './variants.ts';

/** What values set by hand can become. */
export type Promotion =
  | { type: 'default'; place: Place | null }
  | { type: 'variant'; variant: Id; place: Place | null }
  | { type: 'preset'; preset: Id };

const gone = (id: Id) => fail({ code: 'gone', message: 'That is no longer there.', record: id });

function targetOf(node: NodeRecord, to: Promotion): StyleTarget {
  switch (to.type) {
    case 'default':
      return { type: 'default', element: elementOfNode(node).name, place: to.place };
    case 'variant':
      return to.place === null
        ? { type: 'record', id: to.variant }
        : { type: 'variantRule', variant: to.variant, place: to.place };
    case 'preset':
      return { type: 'record', id: to.preset };
  }
}

/** Slots of a thing as a preset has them, by kind of part; of two parts of a kind the first that says something holds. */
export function stylesByKind(
  element: ElementType,
  said: Styles,
  slots: readonly Slot[],
): Record<Slot, Value> {
  const styles: Record<Slot, Value> = {};
  for (const slot of slots) {
    const parts = parseSlot(slot);
    const kind = parts && partOf(element, parts.part)?.kind;
    const value = said[slot];
    if (parts && kind && isPresetKind(kind) && value) styles[printSlot({ ...parts, part: kind })] ??= value;
  }
  return styles;
}

/**
 * Values set on one thing become a rule of the guide, and are set on it no longer: it follows the rule from then on. So do
 * others that carry the same, where that is wanted.
 */
export function promote(
  site: Site,
  id: Id,
  slots: readonly Slot[],
  to: Promotion,
  also: readonly Id[] = [],
): Result<Edit[]> {
  const node = getRecord(site, id);
  if (!isNode(node)) return gone(id);
  const own = slots.filter(
    slot => Object.hasOwn(node.styles, slot) && (to.type !== 'preset' || isForPresets(node, slot)),
  );
  if (own.length === 0)
    return fail({ code: 'nothing-set', message: 'Nothing is set here that could go there.', record: id });
  const target = targetOf(node, to);
  if (target.type === 'record' && !getRecord(site, target.id)) return gone(target.id);
  const values =
    to.type === 'preset'
      ? stylesByKind(elementOfNode(node), node.styles, own)
      : Object.fromEntries(own.flatMap(slot => (node.styles[slot] ? [[slot, node.styles[slot]]] : [])));
  const rule = setSlots(site, target, values);
  const followers = [id, ...also].flatMap(it => {
    const record = getRecord(site, it);
    return isNode(record) ? [record] : [];
  });
  return ok([
    ...rule,
    ...followers.flatMap(it => own.map((slot): Edit => editOf(it).unsetIn('styles', slot))),
  ]);
}

/** What a thing looks like where it stands, at rest and in the situations of some slots, as CSS by part and property. */
function looksOf(site: Site, id: Id, slots: readonly Slot[]): string {
  const place = locationOf(site, id);
  // What pages share is looked at on the home page.
  const page = place?.station === 'pages' ? (place.page ?? settingsOf(site).home) : null;
  const scope = page === null ? null : nodeScope(site, page, id);
  if (!scope) return '';
  const situations = new Map<string, { state: State; width: Width }>([
    ['', { state: 'rest', width: 'wide' }],
    ...slots.flatMap(slot => {
      const it = parseSlot(slot);
      return it ? [[`${it.state} ${it.width}`, { state: it.state, width: it.width }] as const] : [];
    }),
  ]);
  return partNames(scope.element)
    .flatMap(part =>
      [...situations.values()].flatMap(({ state, width }) =>
        [...computedStyles(site, scope, part, ['rest', state], width)]
          .map(([property, css]) => `${part} ${state} ${width} ${property} ${css}`)
          .sort(),
      ),
    )
    .join('\n');
}

/** Whether a promotion leaves the thing itself as it looks: a rule that something stronger hides would not. */
export function keepsLook(site: Site, id: Id, slots: readonly Slot[], edits: readonly Edit[]): boolean {
  const applied = applyChange(site, { edits });
  return applied.ok && looksOf(site, id, slots) === looksOf(applied.value.site, id, slots);
}

/** Others of the same element on which the very same values are set, and which would look as they do by the rule alone. */
export function siblingsFor(site: Site, id: Id, slots: readonly Slot[], to: Promotion): Id[] {
  const node = getRecord(site, id);
  if (!isNode(node)) return [];
  const own = slots.filter(slot => Object.hasOwn(node.styles, slot));
  const alike = [...site.kinds.section.values(), ...site.kinds.widget.values()].filter(
    it =>
      it.id !== id &&
      elementOfNode(it) === elementOfNode(node) &&
      own.every(slot => it.styles[slot] && stableText(it.styles[slot]) === stableText(node.styles[slot])),
  );
  const rule = promote(site, id, slots, to);
  if (own.length === 0 || alike.length === 0 || !rule.ok) return [];
  const applied = applyChange(site, { edits: rule.value });
  if (!applied.ok) return [];
  const ruled = applied.value.site;
  return alike
    .filter(it =>
      keepsLook(
        ruled,
        it.id,
        slots,
        own.map((slot): Edit => editOf(it).unsetIn('styles', slot)),
      ),
    )
    .map(it => it.id);
}

/**
 * Values set on one thing become a variant of their own, which it wears from then on. One that it wears already on that axis
 * is what the new one begins as, so that the look stays.
 */
export function promoteToVariant(
  site: Site,
  id: Id,
  slots: readonly Slot[],
  axis: string,
  name: string,
): Result<{ edits: Edit[]; variant: Id }> {
  const node = getRecord(site, id);
  if (!isNode(node)) return gone(id);
  const element = elementOfNode(node);
  if (!element.axes.includes(axis))
    return fail({
      code: 'no-axis',
      message: `A ${element.label.toLowerCase()} has no variants of that kind.`,
      record: id,
      found: axis,
      expected: element.axes.join(', '),
    });
  const own = slots.filter(slot => Object.hasOwn(node.styles, slot));
  if (own.length === 0)
    return fail({ code: 'nothing-set', message: 'Nothing is set here that could go there.', record: id });
  const worn = node.variants[axis];
  const begun = worn === undefined ? null : duplicateVariant(site, worn);
  const made = begun?.ok ? begun.value : addVariant(site, element.name, axis, name);
  const values = Object.fromEntries(
    own.flatMap(slot => (node.styles[slot] ? [[slot, node.styles[slot]]] : [])),
  );
  const named = nameFor(site, element.name, axis, name);
  const edits = made.edits.map(
    (edit): Edit =>
      edit.op === 'put' && edit.record.kind === 'variant'
        ? putRecord({ ...edit.record, name: named, styles: { ...edit.record.styles, ...values } })
        : edit,
  );
  return ok({
    variant: made.id,
    edits: [
      ...edits,
      editOf(node).setIn('variants', axis, made.id),
      ...own.map((slot): Edit => editOf(node).unsetIn('styles', slot)),
    ],
  });
}

/** The literal types a token can have. */
const isTokenLiteral = (value: Value): value is Value & { type: LiteralType } =>
  value.type !== 'token' && value.type !== 'role' && value.type !== 'textStyle' && value.type !== 'derived';

/** A value that comes from no token becomes one, and the slot names it. */
export function promoteToToken(
  site: Site,
  id: Id,
  slot: Slot,
  { group, name }: { group: string; name: string },
): Result<{ edits: Edit[]; token: Id }> {
  const record = getRecord(site, id);
  if (!record || !('styles' in record)) return gone(id);
  const value = record.styles[slot];
  if (!value) return gone(id);
  const type = isTokenLiteral(value) ? tokenTypeOf(value.type) : null;
  if (type === null)
    return fail({
      code: 'no-token',
      message: 'This value is not one that a token can hold, or comes from a token already.',
      record: id,
      path: slot,
      found: value.type,
    });
  const made = addToken(site, { type, group, name, value });
  return ok({
    token: made.id,
    edits: [...made.edits, editOf(record).setIn('styles', slot, { type: 'token', token: made.id })],
  });
}

/** Whether a value could become a token. */
export const canBeToken = (value: Value): boolean =>
  isLoose(value) || (isTokenLiteral(value) && tokenTypeOf(value.type) !== null);
