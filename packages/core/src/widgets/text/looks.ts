import { around, type Looks, left, padded } from '../kit/looks.ts';

export const textLooks: Looks = {
  look: {
    Framed: { ...around('box', 'role.line'), ...padded('box', '1rem') },
    Barred: { ...left('box', 'role.accent', '3px'), 'box/paddingLeft': '1rem' },
    Quiet: { 'paragraph/color': 'role.muted' },
    Centred: {
      'paragraph/textAlign': 'center',
      'paragraph/marginLeft': 'auto',
      'paragraph/marginRight': 'auto',
    },
  },
};
