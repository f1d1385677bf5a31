import { around, type Looks } from '../kit/looks.ts';

export const embedLooks: Looks = {
  look: {
    Lined: { ...around('place', 'role.line'), 'place/backgroundColor': 'transparent' },
    'Picture beside the words': {
      'place/flexDirection': 'row',
      'picture/width': '50%',
      'words/alignItems': 'start',
      'place@narrow/flexDirection': 'column',
      'picture@narrow/width': '100%',
      'words@narrow/alignItems': 'center',
    },
    'Name above': {
      'words/order': -1,
      'words/alignItems': 'start',
      'place/alignItems': 'start',
      'place/justifyContent': 'start',
    },
    'In one line': {
      'place/minHeight': '0rem',
      'place/flexDirection': 'row',
      'place/justifyContent': 'space-between',
      'picture/width': '6em',
      'words/flexDirection': 'row',
      'words/flexWrap': 'wrap',
      'words/columnGap': '1rem',
      'words/flexGrow': 1,
    },
  },
};
