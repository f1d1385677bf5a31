import { isProperty, type PropertyName } from '@cove/core';

const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;
const CORNERS = ['TopLeft', 'TopRight', 'BottomRight', 'BottomLeft'] as const;

/** The same property on all sides, or at all corners, itself among them; empty where it has no side. */
export function sidesOf(name: PropertyName): PropertyName[] {
  for (const places of [CORNERS, SIDES]) {
    const own = places.find(it => name.includes(it));
    if (own !== undefined) return places.map(it => name.replace(own, it)).filter(isProperty);
  }
  return [];
}
