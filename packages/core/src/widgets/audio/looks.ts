import { around, type Looks, padded } from '../kit/looks.ts';

export const audioLooks: Looks = {
  look: {
    Boxed: { ...around('box', 'role.line'), ...padded('box', '1rem'), 'box/backgroundColor': 'role.raised' },
    'Picture above': {
      'box/flexDirection': 'column',
      'box/alignItems': 'stretch',
      'cover/width': '100%',
    },
    'Picture at the end': { 'cover/order': 1 },
    'In one line': {
      'words/flexDirection': 'row',
      'words/alignItems': 'center',
      'words/columnGap': '1rem',
      'note/display': 'none',
      'cover/width': '3rem',
      'words@narrow/flexDirection': 'column',
      'words@narrow/alignItems': 'stretch',
    },
  },
};
