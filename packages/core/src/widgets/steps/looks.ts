import { above, around, bare, type Looks, left, padded } from '../kit/looks.ts';

export const stepsLooks: Looks = {
  look: {
    'On a line': {
      'steps/rowGap': '0rem',
      ...left('line', 'role.line', '2px'),
      'words/paddingBottom': '1.5rem',
    },
    Across: {
      'steps/flexDirection': 'row',
      'steps@narrow/flexDirection': 'column',
      'step/flexDirection': 'column',
      'step/flexGrow': 1,
      'step/flexBasis': '0px',
      'side/flexDirection': 'row',
      ...above('line', 'role.line', '2px'),
    },
    Boxed: { ...around('step', 'role.line'), ...padded('step', '1.5rem') },
    'Large numbers': {
      ...bare('mark'),
      // As wide as any digit, so that titles stand below each other.
      'mark/width': '0.8em',
      'mark/height': 'auto',
      'mark/justifyContent': 'start',
      'mark/fontSize': '2.5em',
      'mark/color': 'role.accent',
    },
    'Numbers above, centred': {
      'step/flexDirection': 'column',
      'step/alignItems': 'center',
      'title/textAlign': 'center',
      'body/textAlign': 'center',
    },
  },
};
