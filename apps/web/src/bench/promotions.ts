import {
  elementOfNode,
  type Id,
  type NodeRecord,
  nameOf,
  type Place,
  type Promotion,
  type Scope,
  type Site,
} from '@cove/core';

export interface Choice {
  label: string;
  to: Promotion | { type: 'newVariant'; axis: string } | 'token';
}

/** Places that a thing stands in, from the narrowest, with how they are said. */
function placesOf(site: Site, { section, page, area, scheme, pageKind, longForm }: Scope): [Place, string][] {
  const places: [Place, string][] = [];
  if (section) places.push([{ type: 'section', section: section.id }, `in ${nameOf(site, section.id)}`]);
  places.push([{ type: 'scheme', scheme }, `on ${nameOf(site, scheme)}`]);
  if (longForm) places.push([{ type: 'longForm' }, 'in long-form text']);
  if (area !== 'main') places.push([{ type: 'area', area }, `in the ${area}`]);
  if (page && page.id !== '') {
    places.push([{ type: 'page', page: page.id }, `on the page ${page.title}`]);
    places.push([{ type: 'branch', page: page.id }, `on ${page.title} and the pages below it`]);
  }
  if (pageKind !== 'page') places.push([{ type: 'pageKind', pageKind }, `on every ${pageKind}`]);
  return places;
}

/** All that values set by hand on a thing can become, the widest reach of each kind first. */
export function promotionsOf(site: Site, scope: Scope, node: NodeRecord): Choice[] {
  const element = elementOfNode(node);
  const noun = element.label.toLowerCase();
  const places = placesOf(site, scope);
  const variants = element.axes.flatMap((axis): Id[] => (node.variants[axis] ? [node.variants[axis]] : []));
  return [
    { label: `Every ${noun}`, to: { type: 'default', place: null } },
    ...places.map(
      ([place, words]): Choice => ({ label: `Every ${noun} ${words}`, to: { type: 'default', place } }),
    ),
    ...variants.map(
      (variant): Choice => ({
        label: `The variant ${nameOf(site, variant)}`,
        to: { type: 'variant', variant, place: null },
      }),
    ),
    ...element.axes.map(
      (axis): Choice => ({ label: `A new ${axis} of ${noun}`, to: { type: 'newVariant', axis } }),
    ),
    ...Object.values(node.wears).map(
      ({ preset }): Choice => ({
        label: `The preset ${nameOf(site, preset)}`,
        to: { type: 'preset', preset },
      }),
    ),
  ];
}
