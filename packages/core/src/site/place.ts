import {
  AREAS,
  type DefaultRecord,
  type Id,
  PAGE_KINDS,
  type Place,
  type VariantRuleRecord,
} from './records.ts';
import type { Site } from './site.ts';

/** One word for a place: two that mean the same have the same. */
export const placeKey = (place: Place): string => {
  switch (place.type) {
    case 'pageKind':
      return `kind-${place.pageKind}`;
    case 'branch':
      return `branch-${place.page}`;
    case 'page':
      return `page-${place.page}`;
    case 'area':
      return `area-${place.area}`;
    case 'scheme':
      return `scheme-${place.scheme}`;
    case 'section':
      return `section-${place.section}`;
    case 'longForm':
      return 'long';
  }
};

/** The place that such a word stands for; null where it stands for none, or for what is no longer there. */
export function placeNamed(site: Site, key: string): Place | null {
  if (key === 'long') return { type: 'longForm' };
  const dash = key.indexOf('-');
  const [type, name] = [key.slice(0, dash), key.slice(dash + 1)];
  const { page: pages, section: sections, scheme: schemes } = site.kinds;
  const pageKind = PAGE_KINDS.find(it => it === name);
  const area = AREAS.find(it => it === name);
  if (type === 'kind') return pageKind ? { type: 'pageKind', pageKind } : null;
  if (type === 'area') return area ? { type: 'area', area } : null;
  if (type === 'page' || type === 'branch') return pages.has(name) ? { type, page: name } : null;
  if (type === 'scheme') return schemes.has(name) ? { type, scheme: name } : null;
  return type === 'section' && sections.has(name) ? { type, section: name } : null;
}

/** The page, scheme or section that a place is about; null for other places. */
export const placeIsAbout = (place: Place): Id | null => {
  switch (place.type) {
    case 'page':
    case 'branch':
      return place.page;
    case 'scheme':
      return place.scheme;
    case 'section':
      return place.section;
    default:
      return null;
  }
};

/** The same about another page, scheme or section. */
export const placeAbout = (place: Place, id: Id): Place => {
  switch (place.type) {
    case 'page':
    case 'branch':
      return { ...place, page: id };
    case 'scheme':
      return { ...place, scheme: id };
    case 'section':
      return { ...place, section: id };
    default:
      return place;
  }
};

/** One default for an element and place: the id is made of both, so that two people who make it make the same one. */
export const placedId = (
  record:
    | Pick<DefaultRecord, 'kind' | 'element' | 'place'>
    | Pick<VariantRuleRecord, 'kind' | 'variant' | 'place'>,
): string =>
  record.kind === 'default'
    ? `default-${record.element}${record.place ? `-${placeKey(record.place)}` : ''}`
    : `rule-${record.variant}-${placeKey(record.place)}`;
