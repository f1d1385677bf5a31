import {
  branchOf,
  OVER_RANK,
  overClass,
  PICTURE_RANK,
  PROGRAM_RANK,
  pictureClass,
  placeBase,
  presetClass,
  ranksOf,
  stylesOfPicture,
} from '../cascade/index.ts';
import { presetStyles } from '../guide/presetStyles.ts';
import {
  elementOfNode,
  type Id,
  MAX_PRESETS_WORN,
  type NodeRecord,
  type Place,
  type Site,
} from '../site/index.ts';
import { ELEMENTS, elementNamed, isItem } from '../widgets/index.ts';
import type { RuleSource } from './rules.ts';

const declared = ({ declarations }: Pick<RuleSource, 'declarations'>) =>
  declarations ? { declarations } : {};

function rankOfPlace(site: Site, place: Place | null): number {
  const page = place?.type === 'branch' ? site.kinds.page.get(place.page) : undefined;
  return placeBase(place, page ? branchOf(site, page).length - 1 : 0);
}

/** What the program says of every element. */
export const programSources = (): RuleSource[] =>
  ELEMENTS.flatMap(element => [
    { rank: PROGRAM_RANK, className: element.name, styles: element.program, element },
    ...(element.whenOver
      ? [{ rank: OVER_RANK, className: overClass(element), styles: element.whenOver, element }]
      : []),
  ]);

/** What one record of the guide says, wherever it is used; several where its rank depends on the use. */
export function guideSources(site: Site, id: Id): RuleSource[] {
  const { kinds } = site;
  const rule = kinds.default.get(id);
  if (rule) {
    const className = rule.place === null ? rule.element : `d-${id}`;
    const element = elementNamed(rule.element);
    return [
      {
        rank: ranksOf(isItem(element)).default(rankOfPlace(site, rule.place)),
        className,
        styles: rule.styles,
        ...declared(rule),
        element,
      },
    ];
  }
  const variant = kinds.variant.get(id);
  if (variant) {
    const element = elementNamed(variant.element);
    return [
      {
        rank: ranksOf(isItem(element)).variant(element.axes.indexOf(variant.axis), 0),
        className: `v-${id}`,
        styles: variant.styles,
        ...declared(variant),
        element,
      },
    ];
  }
  const placed = kinds.variantRule.get(id);
  const base = placed && kinds.variant.get(placed.variant);
  if (placed && base) {
    const element = elementNamed(base.element);
    return [
      {
        rank: ranksOf(isItem(element)).variant(
          element.axes.indexOf(base.axis),
          rankOfPlace(site, placed.place),
        ),
        className: `u-${id}`,
        styles: placed.styles,
        ...declared(placed),
        element,
      },
    ];
  }
  const asset = kinds.asset.get(id);
  const brought = asset && stylesOfPicture(asset);
  if (brought) return [{ rank: PICTURE_RANK, className: pictureClass(id), styles: brought, element: null }];
  const preset = kinds.preset.get(id);
  if (!preset) return [];
  const { styles } = presetStyles(site, id);
  // A preset is written once for each position at which it may be worn; positions not in use are left out when printed.
  return [false, true].flatMap(items =>
    Array.from({ length: MAX_PRESETS_WORN }, (_, position) => ({
      rank: ranksOf(items).preset(position),
      className: presetClass(items, id, position),
      styles,
      element: null,
      items,
    })),
  );
}

export const guideIds = ({ kinds }: Site): Id[] => [
  ...kinds.default.keys(),
  ...kinds.variant.keys(),
  ...kinds.variantRule.keys(),
  ...kinds.preset.keys(),
  ...[...kinds.asset.values()].flatMap(({ id, focus }) => (focus ? [id] : [])),
];

/** What the classes begin with under which a section or widget speaks of itself. */
export const OWN = 'o-';

/** What is set on one section or widget itself. */
export function ownSource(node: NodeRecord): RuleSource {
  const element = elementOfNode(node);
  return {
    rank: ranksOf(isItem(element)).own,
    className: OWN + node.id,
    styles: node.styles,
    ...declared(node),
    element,
  };
}
