import { above, around, type Looks, left, padded } from '../kit/looks.ts';

export const figuresLooks: Looks = {
  look: {
    'Lined at the side': { ...left('figure', 'role.accent', '2px'), 'figure/paddingLeft': '1rem' },
    'Lined above': { ...above('figure', 'role.line'), 'figure/paddingTop': '1rem' },
    Boxed: { ...around('figure', 'role.line'), ...padded('figure', '1.5rem') },
    Centred: { 'figure/alignItems': 'center', 'value/textAlign': 'center', 'words/textAlign': 'center' },
    'Words first': { 'words/order': -1 },
    'Below each other': {
      'figures/flexDirection': 'column',
      'figure/flexDirection': 'row',
      'figure/alignItems': 'baseline',
      'figure/flexBasis': 'auto',
    },
  },
};
