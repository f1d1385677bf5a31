import {
  branchOf,
  defaultRank,
  OWN_RANK,
  PROGRAM_RANK,
  placeBase,
  presetRank,
  variantRank,
} from '../cascade/index.ts';
import { presetStyles } from '../guide/presetStyles.ts';
import {
  elementOfArea,
  type Id,
  MAX_PRESETS_WORN,
  type NodeRecord,
  type Place,
  type Site,
} from '../site/index.ts';
import { ELEMENTS, elementNamed } from '../widgets/index.ts';
import type { RuleSource } from './rules.ts';

export const elementOfNode = (node: NodeRecord) =>
  node.kind === 'section' ? elementOfArea(node.area) : elementNamed(node.widget);

const declared = ({ declarations }: Pick<RuleSource, 'declarations'>) =>
  declarations ? { declarations } : {};

function rankOfPlace(site: Site, place: Place | null): number {
  const page = place?.type === 'branch' ? site.kinds.page.get(place.page) : undefined;
  return placeBase(place, page ? branchOf(site, page).length - 1 : 0);
}

/** What the program says of every element. */
export const programSources = (): RuleSource[] =>
  ELEMENTS.map(element => ({
    rank: PROGRAM_RANK,
    className: element.name,
    styles: element.program,
    element,
  }));

/** What one record of the guide says, wherever it is used; several where its rank depends on the use. */
export function guideSources(site: Site, id: Id): RuleSource[] {
  const { kinds } = site;
  const rule = kinds.default.get(id);
  if (rule) {
    const className = rule.place === null ? rule.element : `d-${id}`;
    return [
      {
        rank: defaultRank(rankOfPlace(site, rule.place)),
        className,
        styles: rule.styles,
        ...declared(rule),
        element: elementNamed(rule.element),
      },
    ];
  }
  const variant = kinds.variant.get(id);
  if (variant) {
    const element = elementNamed(variant.element);
    return [
      {
        rank: variantRank(element.axes.indexOf(variant.axis), 0),
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
        rank: variantRank(element.axes.indexOf(base.axis), rankOfPlace(site, placed.place)),
        className: `u-${id}`,
        styles: placed.styles,
        ...declared(placed),
        element,
      },
    ];
  }
  const preset = kinds.preset.get(id);
  // A preset is written once for each position at which it may be worn; positions not in use are left out when printed.
  return preset
    ? Array.from({ length: MAX_PRESETS_WORN }, (_, n) => ({
        rank: presetRank(n),
        className: `p-${id}-${n}`,
        styles: presetStyles(site, id).styles,
        element: null,
      }))
    : [];
}

export const guideIds = ({ kinds }: Site): Id[] => [
  ...kinds.default.keys(),
  ...kinds.variant.keys(),
  ...kinds.variantRule.keys(),
  ...kinds.preset.keys(),
];

/** What is set on one section or widget itself. */
export const ownSource = (node: NodeRecord): RuleSource => ({
  rank: OWN_RANK,
  className: `o-${node.id}`,
  styles: node.styles,
  ...declared(node),
  element: elementOfNode(node),
});
