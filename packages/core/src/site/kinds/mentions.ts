import { propertyOf, tokenTypesOf } from '../../properties/index.ts';
import { roleNamed } from '../../roles/index.ts';
import { parseSlot, type Styles } from '../../slots/index.ts';
import { colorsIn, type TokenType, tokensIn, type Value } from '../../values/index.ts';
import type { Id, Place, Wear } from '../records.ts';
import type { Reference } from '../reference.ts';

/** What parts of records mention: values, styles, places, and so on. A role that every scheme has is no record. */
export const roleReference = (path: string, name: string): Reference[] =>
  roleNamed(name) ? [] : [{ path, to: name, kinds: ['role'] }];

export const inValue = (path: string, value: Value, types: readonly TokenType[]): Reference[] => {
  if (value.type === 'textStyle') return [{ path, to: value.style, kinds: ['textStyle'] }];
  if (value.type === 'role') return roleReference(path, value.role);
  const image: Reference[] =
    value.type === 'picture'
      ? [{ path, to: value.asset, kinds: ['asset'] }]
      : value.type === 'pattern'
        ? [{ path, to: value.drawing, kinds: ['drawing'] }]
        : [];
  const inner = colorsIn(value);
  const roles = inner.flatMap(color => (color.type === 'role' ? roleReference(path, color.role) : []));
  const inside = value.type === 'token' ? types : inner.length > 0 ? (['color'] as const) : null;
  return [
    ...image,
    ...roles,
    ...tokensIn(value).map(
      (to): Reference => ({ path, to, kinds: ['token'], ...(inside && { types: inside }) }),
    ),
  ];
};

export const inStyles = (styles: Styles): Reference[] =>
  Object.entries(styles).flatMap(([slot, value]) => {
    const property = parseSlot(slot)?.property;
    const types = property && property !== 'textStyle' ? tokenTypesOf(propertyOf(property)) : [];
    return inValue(`styles.${slot}`, value, types);
  });

export const inRebind = (rebind: Readonly<Record<Id, Value>>): Reference[] =>
  Object.entries(rebind).flatMap(([id, value]): Reference[] => [
    { path: `rebind.${id}`, to: id, kinds: ['token'] },
    ...inValue(`rebind.${id}`, value, []).map(({ types: _, ...it }) => it),
  ]);

export const inPlace = (place: Place | null): Reference[] => {
  switch (place?.type) {
    case 'page':
    case 'branch':
      return [{ path: 'place.page', to: place.page, kinds: ['page'] }];
    case 'scheme':
      return [{ path: 'place.scheme', to: place.scheme, kinds: ['scheme'] }];
    case 'section':
      return [{ path: 'place.section', to: place.section, kinds: ['section'] }];
    default:
      return [];
  }
};

export const scheme = (id: Id | null): Reference[] =>
  id === null ? [] : [{ path: 'scheme', to: id, kinds: ['scheme'] }];

export const picture = (path: string, id: Id | undefined): Reference[] =>
  id === undefined ? [] : [{ path, to: id, kinds: ['asset'] }];

/** Variants chosen and presets worn. */
export const worn = ({
  variants,
  wears,
}: {
  variants: Readonly<Record<string, Id>>;
  wears: Readonly<Record<Id, Wear>>;
}): Reference[] => [
  ...Object.entries(variants).map(
    ([axis, to]): Reference => ({ path: `variants.${axis}`, to, kinds: ['variant'] }),
  ),
  ...Object.entries(wears).map(
    ([id, wear]): Reference => ({ path: `wears.${id}.preset`, to: wear.preset, kinds: ['preset'] }),
  ),
];
