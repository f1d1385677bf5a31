import type { Id, Place } from '../records.ts';

/** Where a rule holds, in words. */
export function placeName(place: Place, nameOf: (id: Id) => string): string {
  switch (place.type) {
    case 'page':
      return `on ${nameOf(place.page)}`;
    case 'branch':
      return `below ${nameOf(place.page)}`;
    case 'scheme':
      return `on ${nameOf(place.scheme)}`;
    case 'section':
      return `in ${nameOf(place.section)}`;
    case 'area':
      return `in the ${place.area}`;
    case 'pageKind':
      return `on every ${place.pageKind}`;
    case 'longForm':
      return 'in long-form text';
  }
}
