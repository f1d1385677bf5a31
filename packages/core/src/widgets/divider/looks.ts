import type { Looks } from '../kit/looks.ts';

export const dividerLooks: Looks = {
  look: {
    Dashed: {
      'line/borderTopStyle': 'dashed',
      'side/borderTopStyle': 'dashed',
      'upright/borderLeftStyle': 'dashed',
    },
    Dotted: {
      'line/borderTopStyle': 'dotted',
      'side/borderTopStyle': 'dotted',
      'upright/borderLeftStyle': 'dotted',
    },
    Accent: {
      'line/borderTopColor': 'role.accent',
      'side/borderTopColor': 'role.accent',
      'upright/borderLeftColor': 'role.accent',
      'mark/color': 'role.accent',
    },
    Short: { 'line/width': '6rem', 'line/marginLeft': 'auto', 'line/marginRight': 'auto' },
  },
};
