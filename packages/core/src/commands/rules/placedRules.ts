import {
  type DefaultRecord,
  type Edit,
  type Id,
  type Place,
  placeAbout,
  placedId,
  placeIsAbout,
  putRecord,
  type Site,
  type VariantRuleRecord,
} from '../../site/index.ts';

export type PlacedRule = (DefaultRecord | VariantRuleRecord) & { place: Place };

/** Rules about some pages, sections and schemes. */
export const rulesAbout = ({ kinds }: Site, has: (id: Id) => boolean): PlacedRule[] =>
  [...kinds.default.values(), ...kinds.variantRule.values()].flatMap((rule): PlacedRule[] => {
    const { place } = rule;
    const about = place && placeIsAbout(place);
    return place && about !== null && has(about) ? [{ ...rule, place }] : [];
  });

/** A rule about another page, section or scheme, under the id that it has there. */
export function ruleAbout(rule: PlacedRule, id: Id): PlacedRule {
  const moved = { ...rule, place: placeAbout(rule.place, id) };
  return { ...moved, id: placedId(moved) };
}

/** What holds in places holds in their copies, so that a copy looks like what it was made from. `ids`: old → new. */
export const copiedRules = (site: Site, ids: ReadonlyMap<Id, Id>): Edit[] =>
  rulesAbout(site, id => ids.has(id)).map((rule): Edit => {
    const about = placeIsAbout(rule.place) ?? '';
    return putRecord(ruleAbout(rule, ids.get(about) ?? about));
  });
