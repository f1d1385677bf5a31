import { byOrder, type Site, type VariantRecord } from '../site/index.ts';

/** The variants of one axis of an element, as they are ordered. */
export const variantsOf = (site: Site, element: string, axis: string): VariantRecord[] =>
  [...site.kinds.variant.values()].filter(it => it.element === element && it.axis === axis).sort(byOrder);
