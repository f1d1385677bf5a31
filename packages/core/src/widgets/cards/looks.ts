import { SIDES } from '../feature/looks.ts';
import { around, below, type Looks, padded } from '../kit/looks.ts';

export const cardsLooks: Looks = {
  look: {
    Raised: { 'box/backgroundColor': 'role.raised', ...padded('box', '1.5rem') },
    Outlined: { ...around('box', 'role.line'), ...padded('box', '1.5rem') },
    'One below the other': {
      ...SIDES['Sign beside'],
      'cards/gridColumns': 1,
      'cards/rowGap': '1rem',
      ...below('box', 'role.line'),
      'box/paddingBottom': '1rem',
    },
    // As many in a line as there is room for; the last line is filled.
    'Lines filled': {
      'cards/display': 'flex',
      'cards/flexWrap': 'wrap',
      'box/flexGrow': 1,
      'box/flexBasis': '15em',
    },
    'Sign on the other side': SIDES['Sign on the other side'],
    'Sign over the edge': SIDES['Sign over the edge'],
  },
};
