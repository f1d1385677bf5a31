import { above, around, below, type Looks, padded } from '../kit/looks.ts';

export const downloadLooks: Looks = {
  look: {
    Boxed: { ...around('box', 'role.line'), ...padded('box', '1rem') },
    'In one line': {
      'box/flexDirection': 'row',
      'box/flexWrap': 'wrap',
      'box/alignItems': 'baseline',
      'box/justifyContent': 'space-between',
      ...above('box', 'role.line'),
      ...below('box', 'role.line'),
      'box/paddingTop': '0.5rem',
      'box/paddingBottom': '0.5rem',
    },
    'Sign at the end': { 'sign/order': 1 },
    'Sign above': { 'link/flexDirection': 'column', 'link/alignItems': 'start', 'link/rowGap': '0.25rem' },
  },
};
