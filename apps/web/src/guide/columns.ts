import { byOrder, type Site, type SpecimenColumn, STATES, WIDTHS } from '@cove/core';
import { titled } from '../ui/titled.ts';

/** What the columns of the specimen differ in. */
export type Across = 'schemes' | 'widths' | 'states';

/** The columns of the specimen: each scheme of the site, or one scheme in each width or state. */
export function columnsFor(site: Site, across: Across, scheme: string): SpecimenColumn[] {
  const plain = { scheme, width: 'wide', state: 'rest' } as const;
  switch (across) {
    case 'schemes':
      return [...site.kinds.scheme.values()]
        .sort(byOrder)
        .map(({ id, name }) => ({ ...plain, id, label: name, scheme: id }));
    case 'widths':
      return WIDTHS.map(width => ({ ...plain, id: width, label: titled(width), width }));
    case 'states':
      return STATES.map(state => ({
        ...plain,
        id: state,
        label: titled(state),
        state,
      }));
  }
}
