import type { HeaderKind } from '@cove/core';

export const HEADER_SCROLL_NAMES: Record<NonNullable<HeaderKind['headerScrolls']>, string> = {
  withPage: 'goes with the page',
  stays: 'stays in view',
  returns: 'comes back on scrolling up',
};

export const HEADER_COLOR_NAMES: Record<NonNullable<HeaderKind['headerColors']>, string> = {
  own: 'its own scheme',
  firstSection: 'see-through, over the first section',
  sectionBeneath: 'those of the section beneath it',
};
