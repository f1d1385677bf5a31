import type { DefaultRecord, Place, VariantRuleRecord } from './records.ts';

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

/** One default for an element and place: the id is made of both, so that two people who make it make the same one. */
export const placedId = (
  record:
    | Pick<DefaultRecord, 'kind' | 'element' | 'place'>
    | Pick<VariantRuleRecord, 'kind' | 'variant' | 'place'>,
): string =>
  record.kind === 'default'
    ? `default-${record.element}${record.place ? `-${placeKey(record.place)}` : ''}`
    : `rule-${record.variant}-${placeKey(record.place)}`;
