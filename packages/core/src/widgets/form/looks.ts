import { type Looks, padded } from '../kit/looks.ts';

export const formLooks: Looks = {
  look: {
    Raised: { 'box/backgroundColor': 'role.raised', ...padded('box', '1.5rem') },
    'Two beside each other': {
      'box/flexDirection': 'row',
      'box/flexWrap': 'wrap',
      'box/columnGap': '1.5rem',
      'box/alignItems': 'end',
    },
  },
};
