import { above, around, type Looks, padded } from '../kit/looks.ts';

export const featureLooks: Looks = {
  look: {
    Outlined: { ...around('box', 'role.line'), ...padded('box', '1.5rem') },
    'Lined above': { ...above('box', 'role.accent', '3px'), 'box/paddingTop': '1rem' },
    Centred: { 'box/alignItems': 'center', 'title/textAlign': 'center', 'text/textAlign': 'center' },
  },
};
