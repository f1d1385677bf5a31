import type { DefaultRecord, Id, Place, VariantRuleRecord } from './records.ts';

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
