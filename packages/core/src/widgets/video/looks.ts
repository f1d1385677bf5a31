import { around, type Looks, padded } from '../kit/looks.ts';

export const videoLooks: Looks = {
  look: {
    'Caption beside': {
      'box/display': 'flex',
      'box/columnGap': '1.5rem',
      'box/alignItems': 'end',
      'screen/width': '70%',
      'box@narrow/display': 'block',
      'screen@narrow/width': '100%',
    },
    Matted: {
      ...around('box', 'role.line'),
      ...padded('box', '0.75rem'),
      'box/backgroundColor': 'role.raised',
    },
    'Caption above': {
      'box/display': 'flex',
      'box/flexDirection': 'column',
      'box/rowGap': '0.5rem',
      'caption/order': -1,
      'caption/marginTop': '0rem',
      'caption/color': 'role.heading',
      'caption/fontSize': '1.125em',
    },
    Square: { 'screen/aspectRatio': 1 },
  },
};
