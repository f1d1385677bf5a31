import { type Looks, padded } from '../kit/looks.ts';

export const groupLooks: Looks = {
  arrangement: {
    'Four across': {
      'box/display': 'grid',
      'box/gridColumns': 4,
      'box@medium/gridColumns': 2,
      'box@narrow/gridColumns': 1,
    },
    Stacked: { 'box/flexDirection': 'column', 'box/alignItems': 'stretch' },
    Centred: { 'box/justifyContent': 'center', 'box/alignItems': 'center' },
    Panel: { 'box/backgroundColor': 'role.raised', ...padded('box', '1.5rem') },
  },
};
