import type { Facet } from '@cove/core';

export const FACET_NAMES: Record<Facet, string> = {
  type: 'Type',
  color: 'Colour',
  space: 'Space',
  line: 'Lines and corners',
  layout: 'Layout',
  effect: 'Effects',
  motion: 'Motion',
};
