import { above, type Looks, padded } from '../kit/looks.ts';

export const columnLooks: Looks = {
  look: {
    Panel: { 'box/backgroundColor': 'role.raised', ...padded('box', '1.5rem') },
    'Lined above': { ...above('box', 'role.line'), 'box/paddingTop': '1rem' },
    Centred: { 'box/alignItems': 'center', 'box/textAlign': 'center' },
  },
};
