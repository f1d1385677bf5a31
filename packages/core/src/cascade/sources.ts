import { presetStyles } from '../guide/presetStyles.ts';
import { groupBy } from '../lists/index.ts';
import {
  type AssetRecord,
  byOrder,
  type DefaultRecord,
  type Id,
  type PictureFocus,
  parseDeclarationKey,
  pictureIn,
  type Site,
  type VariantRuleRecord,
} from '../site/index.ts';
import type { Slot, Styles } from '../slots/index.ts';
import { type ElementType, isItem } from '../widgets/index.ts';
import { expand } from './expand.ts';
import {
  type OriginName,
  type OriginRank,
  OVER_RANK,
  PICTURE_RANK,
  PROGRAM_RANK,
  placeRank,
  ranksOf,
} from './rank.ts';
import { holderOf, type Scope } from './scope.ts';

/** One record's say on an element, with its rank there. */
export interface Source {
  origin: OriginName;
  /** Null for the program. */
  record: Id | null;
  rank: OriginRank;
  styles: Styles;
  /** Its declarations of properties that are not followed. */
  declarations?: Readonly<Record<string, string>>;
  /** The record that says a slot, where it is one within this one. */
  from?: ReadonlyMap<Slot, Id>;
  /** True where the parts of its slots are kinds of part. */
  byKind: boolean;
  /** Class under which its rules are printed; the part is added. */
  className: string;
  /** False for a preset worn and switched off. */
  on: boolean;
}

const defaults = new WeakMap<Site['kinds']['default'], Map<string, DefaultRecord[]>>();
export function defaultsOf(site: Site, element: string): readonly DefaultRecord[] {
  let table = defaults.get(site.kinds.default);
  if (!table) {
    table = groupBy(site.kinds.default.values(), it => it.element);
    defaults.set(site.kinds.default, table);
  }
  return table.get(element) ?? [];
}

const rules = new WeakMap<Site['kinds']['variantRule'], Map<string, VariantRuleRecord[]>>();
export function variantRulesOf(site: Site, variant: Id): readonly VariantRuleRecord[] {
  let table = rules.get(site.kinds.variantRule);
  if (!table) {
    table = groupBy(site.kinds.variantRule.values(), it => it.variant);
    rules.set(site.kinds.variantRule, table);
  }
  return table.get(variant) ?? [];
}

const declared = ({ declarations }: { declarations?: Readonly<Record<string, string>> }) =>
  declarations ? { declarations } : {};

/** Class under which a preset is printed for one position; what is worn by an item is nearer than what its holder wears. */
export const presetClass = (item: boolean, preset: Id, position: number): string =>
  `p-${preset}-${item ? 'i' : ''}${position}`;

/** The preset that holds where one is worn in a scheme: itself, or what stands in for it there; null where it is gone. */
export function presetIn({ kinds: { preset } }: Pick<Site, 'kinds'>, worn: Id, scheme: Id): Id | null {
  const { instead = {} } = preset.get(worn) ?? {};
  const other = Object.hasOwn(instead, scheme) ? instead[scheme] : undefined;
  const id = other ?? worn;
  return preset.has(id) ? id : null;
}

/** Whether a source says anything of a part, or of a kind of part. */
export function speaksOf(site: Site, { styles, declarations }: Source, name: string): boolean {
  if (expand(site, styles).some(setting => setting.part === name)) return true;
  return Object.keys(declarations ?? {}).some(key => parseDeclarationKey(key)?.part === name);
}

/** Class under which is printed what an element says where it lies over a section. */
export const overClass = ({ name }: ElementType): string => `${name}-over`;

/** Class under which what a picture brings along is printed. */
export const pictureClass = (asset: Id): string => `k-${asset}`;

const focused = new WeakMap<PictureFocus, Styles>();
/** What a picture brings along for every part that shows it: the point around which it is cropped. */
export function stylesOfPicture({ focus }: AssetRecord): Styles | null {
  if (!focus) return null;
  const percent = (value: number) => ({ value, unit: '%' }) as const;
  const styles = focused.get(focus) ?? {
    'picture/objectPosition': { type: 'position', x: percent(focus.x), y: percent(focus.y) },
  };
  focused.set(focus, styles);
  return styles;
}

const sourcesKnown = new WeakMap<Scope, { site: Site; sources: readonly Source[] }>();

/** Everything that has a say on an element where it stands, lowest rank first; of an item, what its holder says of it too. */
export function sourcesOf(site: Site, scope: Scope): readonly Source[] {
  const known = sourcesKnown.get(scope);
  if (known?.site === site) return known.sources;
  const sources = [...saidOf(site, scope), ...saidByHolder(site, scope)].sort((a, b) => a.rank - b.rank);
  sourcesKnown.set(scope, { site, sources });
  return sources;
}

/** What is said of the items of a holder has the rank that it has there. The program speaks of each item by itself, as its own picture does. */
function saidByHolder(site: Site, scope: Scope): readonly Source[] {
  const holder = holderOf(scope);
  return holder
    ? sourcesOf(site, holder).filter(({ origin }) => origin !== 'program' && origin !== 'picture')
    : [];
}

function saidOf(site: Site, scope: Scope): Source[] {
  const { element } = scope;
  const item = isItem(element);
  const ranks = ranksOf(item);
  const found: Source[] = [
    {
      origin: 'program',
      record: null,
      rank: PROGRAM_RANK,
      styles: element.program,
      byKind: false,
      className: element.name,
      on: true,
    },
  ];
  if (scope.over && element.whenOver)
    found.push({
      origin: 'program',
      record: null,
      rank: OVER_RANK,
      styles: element.whenOver,
      byKind: false,
      className: overClass(element),
      on: true,
    });
  const picture = pictureIn(site, scope.node);
  const brought = picture && stylesOfPicture(picture);
  if (picture && brought)
    found.push({
      origin: 'picture',
      record: picture.id,
      rank: PICTURE_RANK,
      styles: brought,
      byKind: true,
      className: pictureClass(picture.id),
      on: true,
    });
  for (const record of defaultsOf(site, element.name)) {
    const place = placeRank(record.place, scope);
    if (place === null) continue;
    const className = record.place === null ? element.name : `d-${record.id}`;
    found.push({
      origin: 'default',
      record: record.id,
      rank: ranks.default(place),
      styles: record.styles,
      ...declared(record),
      byKind: false,
      className,
      on: true,
    });
  }
  for (const [axis, name] of element.axes.entries()) {
    const id = Object.hasOwn(scope.variants, name) ? scope.variants[name] : undefined;
    const variant = id === undefined ? undefined : site.kinds.variant.get(id);
    if (!variant) continue;
    found.push({
      origin: 'variant',
      record: variant.id,
      rank: ranks.variant(axis, 0),
      styles: variant.styles,
      ...declared(variant),
      byKind: false,
      className: `v-${variant.id}`,
      on: true,
    });
    for (const rule of variantRulesOf(site, variant.id)) {
      const place = placeRank(rule.place, scope);
      if (place !== null)
        found.push({
          origin: 'variant',
          record: rule.id,
          rank: ranks.variant(axis, place),
          styles: rule.styles,
          ...declared(rule),
          byKind: false,
          className: `u-${rule.id}`,
          on: true,
        });
    }
  }
  const { node, wears } = scope;
  const worn = Object.entries(wears)
    .map(([id, wear]) => ({ id, ...wear }))
    .sort(byOrder);
  for (const [position, { preset, on }] of worn.entries()) {
    const id = presetIn(site, preset, scope.scheme);
    if (id === null) continue;
    const { styles, from } = presetStyles(site, id);
    found.push({
      origin: 'preset',
      record: id,
      rank: ranks.preset(position),
      styles,
      from,
      byKind: true,
      className: presetClass(item, id, position),
      on,
    });
  }
  if (node && (Object.keys(node.styles).length > 0 || node.declarations))
    found.push({
      origin: 'own',
      record: node.id,
      rank: ranks.own,
      styles: node.styles,
      ...declared(node),
      byKind: false,
      className: `o-${node.id}`,
      on: true,
    });
  return found;
}
