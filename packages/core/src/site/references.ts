import { roleNamed } from '../guide/roles.ts';
import { isIconName } from '../icons/index.ts';
import { propertyOf, tokenTypesOf } from '../properties/index.ts';
import { colorsIn, type TokenType, tokensIn, type Value } from '../values/index.ts';
import { maybeElement } from '../widgets/index.ts';
import { isRichText, type LinkTarget } from './content.ts';
import type { Id, Kind, Place, SiteRecord, Styles, WidgetRecord } from './records.ts';
import { parseSlot } from './slot.ts';

/** One mention of a record by another, and what may stand there. */
export interface Reference {
  path: string;
  to: Id;
  kinds: readonly Kind[];
  /** Where a token is asked for: the types that fit. */
  types?: readonly TokenType[];
}

/** A role that every scheme has is no record; any other name is the id of one. */
const roleReference = (path: string, name: string): Reference[] =>
  roleNamed(name) ? [] : [{ path, to: name, kinds: ['role'] }];

const inValue = (path: string, value: Value, types: readonly TokenType[]): Reference[] => {
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

const inStyles = (styles: Styles): Reference[] =>
  Object.entries(styles).flatMap(([slot, value]) => {
    const property = parseSlot(slot)?.property;
    const types = property && property !== 'textStyle' ? tokenTypesOf(propertyOf(property)) : [];
    return inValue(`styles.${slot}`, value, types);
  });

const inRebind = (rebind: Readonly<Record<Id, Value>>): Reference[] =>
  Object.entries(rebind).flatMap(([id, value]): Reference[] => [
    { path: `rebind.${id}`, to: id, kinds: ['token'] },
    ...inValue(`rebind.${id}`, value, []).map(({ types: _, ...it }) => it),
  ]);

const inLink = (path: string, link: LinkTarget | undefined): Reference[] => {
  if (link?.type === 'page') return [{ path, to: link.page, kinds: ['page'] }];
  if (link?.type === 'section')
    return [
      { path, to: link.page, kinds: ['page'] },
      { path, to: link.section, kinds: ['section'] },
    ];
  if (link?.type === 'file') return [{ path, to: link.asset, kinds: ['asset'] }];
  return [];
};

const inPlace = (place: Place | null): Reference[] => {
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

/** Every record that the content of a widget mentions. */
export function contentReferences(record: WidgetRecord): Reference[] {
  const fields = maybeElement(record.widget)?.content ?? {};
  return Object.entries(record.content).flatMap(([name, value]): Reference[] => {
    const path = `content.${name}`;
    if (fields[name]?.type === 'asset')
      return typeof value === 'string' ? [{ path, to: value, kinds: ['asset'] }] : [];
    if (fields[name]?.type === 'icon')
      return typeof value === 'string' && !isIconName(value)
        ? [{ path, to: value, kinds: ['drawing', 'asset'] }]
        : [];
    if (isRichText(value)) return value.flatMap(runs => runs.flatMap(run => inLink(path, run.link)));
    return typeof value === 'object' && value !== null && 'type' in value ? inLink(path, value) : [];
  });
}

const scheme = (id: Id | null): Reference[] =>
  id === null ? [] : [{ path: 'scheme', to: id, kinds: ['scheme'] }];

const picture = (path: string, id: Id | undefined): Reference[] =>
  id === undefined ? [] : [{ path, to: id, kinds: ['asset'] }];

const known = new WeakMap<SiteRecord, readonly Reference[]>();

/** Every record that this one mentions; worked out once for each record. */
export function referencesOf(record: SiteRecord): readonly Reference[] {
  const found = known.get(record) ?? mentionedIn(record);
  known.set(record, found);
  return found;
}

function mentionedIn(record: SiteRecord): Reference[] {
  switch (record.kind) {
    case 'settings':
      return [
        { path: 'home', to: record.home, kinds: ['page'] },
        { path: 'defaultScheme', to: record.defaultScheme, kinds: ['scheme'] },
        { path: 'textBase', to: record.textBase, kinds: ['token'], types: ['dimension'] },
        { path: 'textRatio', to: record.textRatio, kinds: ['token'], types: ['number'] },
        ...picture('tabIcon', record.tabIcon),
      ];
    case 'token':
      return inValue('value', record.value, [record.type]);
    case 'role':
      return [
        ...roleReference('fallback', record.fallback),
        ...(record.on === null ? [] : roleReference('on', record.on)),
      ];
    case 'scheme':
      return Object.entries(record.roles).flatMap(([role, value]) => [
        ...roleReference(`roles.${role}`, role),
        ...inValue(`roles.${role}`, value, ['color']),
      ]);
    case 'textStyle':
    case 'variant':
      return inStyles(record.styles);
    case 'preset':
      return [
        ...inStyles(record.styles),
        ...Object.entries(record.includes ?? {}).map(
          ([id, { preset }]): Reference => ({ path: `includes.${id}`, to: preset, kinds: ['preset'] }),
        ),
      ];
    case 'default':
      return [...inPlace(record.place), ...inStyles(record.styles)];
    case 'variantRule':
      return [
        { path: 'variant', to: record.variant, kinds: ['variant'] },
        ...inPlace(record.place),
        ...inStyles(record.styles),
      ];
    case 'page':
      return [
        { path: 'at.parent', to: record.at.parent, kinds: ['settings', 'page'] },
        ...scheme(record.scheme),
        ...inRebind(record.rebind),
        ...picture('sharePicture', record.sharePicture),
      ];
    case 'section':
    case 'widget':
      return [
        {
          path: 'at.parent',
          to: record.at.parent,
          kinds:
            record.kind === 'widget'
              ? ['section', 'widget']
              : [record.area === 'main' ? 'page' : 'settings', 'section'],
        },
        ...(record.kind === 'section'
          ? [...scheme(record.scheme), ...inRebind(record.rebind)]
          : contentReferences(record)),
        ...Object.entries(record.variants).map(
          ([axis, to]): Reference => ({ path: `variants.${axis}`, to, kinds: ['variant'] }),
        ),
        ...Object.entries(record.wears).map(
          ([id, wear]): Reference => ({ path: `wears.${id}.preset`, to: wear.preset, kinds: ['preset'] }),
        ),
        ...inStyles(record.styles),
      ];
    case 'asset':
    case 'font':
      return [];
    case 'note':
      return Object.keys(record.pictures ?? {}).map(
        (to): Reference => ({ path: `pictures.${to}`, to, kinds: ['asset'] }),
      );
    case 'drawing':
      return record.paths.flatMap(({ fill, stroke }, i) =>
        [fill, stroke].flatMap(paint => (paint ? inValue(`paths.${i}`, paint, ['color']) : [])),
      );
  }
}
