import { around, type Looks, padded } from '../kit/looks.ts';

export const galleryLooks: Looks = {
  look: {
    // Each as wide as its own proportions ask for at one height, so that lines are filled and reading order is kept.
    'Uneven rows': {
      'pictures/display': 'flex',
      'pictures/flexWrap': 'wrap',
      'place/flexGrow': 1,
      'picture/aspectRatio': 'auto',
      'picture/height': '14em',
    },
    'Small and large': {
      'place:alternate/columnSpan': 2,
      'place:alternate@medium/columnSpan': 1,
      'picture/aspectRatio': 'auto',
      'picture/height': '18em',
    },
    'Words over the picture': {
      'frame/display': 'grid',
      'opener/columnStart': 1,
      'opener/rowStart': 1,
      'caption/columnStart': 1,
      'caption/rowStart': 1,
      'caption/alignSelf': 'end',
      'caption/inFront': 1,
      'caption/color': 'role.text',
      'caption/backgroundColor': 'role.surface',
      ...padded('caption', '0.5rem'),
    },
    Matted: { 'frame/backgroundColor': 'role.raised', ...padded('frame', '0.75rem') },
    Framed: { ...around('frame', 'role.line'), ...padded('caption', '0.75rem'), 'frame/rowGap': '0rem' },
  },
};
