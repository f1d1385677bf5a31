import { above, below, left, padded, readyLooks } from './look.ts';
import { positionLooks } from './position.ts';

export const quoteLooks = [
  ...readyLooks('quote', 'look', {
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
  }),
  ...positionLooks('quote'),
];
