import { type Looks, left, padded } from '../kit/looks.ts';

export const testimonialsLooks: Looks = {
  look: {
    Cards: { 'voice/backgroundColor': 'role.raised', ...padded('voice', '1.5rem') },
    'Person first': { 'person/order': -1, 'sign/display': 'none' },
    'Person beside': {
      'voices/flexDirection': 'column',
      'voice/flexDirection': 'row',
      'voice/flexBasis': 'auto',
      'words/flexGrow': 1,
      'sign/display': 'none',
      'person/order': -1,
      'person/flexDirection': 'column',
      'person/flexBasis': '25%',
      'names/alignItems': 'center',
      'voice@narrow/flexDirection': 'column',
    },
    Centred: {
      'voice/alignItems': 'center',
      'words/textAlign': 'center',
      'person/flexDirection': 'column',
      'names/alignItems': 'center',
    },
    'Lined at the side': {
      ...left('voice', 'role.accent', '3px'),
      'voice/paddingLeft': '1.5rem',
      'sign/display': 'none',
    },
  },
};
