import { above, below, type Looks, left, POSITIONS, padded } from '../kit/looks.ts';

export const quoteLooks: Looks = {
  look: {
    Barred: { ...left('box', 'role.accent', '3px'), 'box/paddingLeft': '1.5rem' },
    Card: { 'box/backgroundColor': 'role.raised', ...padded('box', '1.5rem'), 'box/borderLeftStyle': 'none' },
    'Between lines': {
      ...above('box', 'role.line'),
      ...below('box', 'role.line'),
      'box/borderLeftStyle': 'none',
      'box/paddingTop': '1rem',
      'box/paddingBottom': '1rem',
      'box/paddingLeft': '0rem',
      'paragraph/textAlign': 'center',
      'source/textAlign': 'center',
    },
  },
  position: POSITIONS,
};
