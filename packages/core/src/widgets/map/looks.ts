import { around, type Looks, padded } from '../kit/looks.ts';

export const mapLooks: Looks = {
  look: {
    'Words beside': {
      'box/display': 'flex',
      'box/columnGap': '2rem',
      'box/alignItems': 'center',
      'map/width': '60%',
      'words/marginTop': '0rem',
      'box@narrow/display': 'block',
      'map@narrow/width': '100%',
      'words@narrow/marginTop': '0.75rem',
    },
    'Words over it': {
      'box/display': 'grid',
      'map/columnStart': 1,
      'map/rowStart': 1,
      'words/columnStart': 1,
      'words/rowStart': 1,
      'words/alignSelf': 'end',
      'words/justifySelf': 'start',
      'words/inFront': 1,
      'words/marginLeft': '1rem',
      'words/marginBottom': '1rem',
      'words/backgroundColor': 'role.surface',
      ...padded('words', '1rem'),
    },
    Framed: { ...around('box', 'role.line'), ...padded('words', '1rem'), 'words/marginTop': '0rem' },
    'Words first': {
      'box/display': 'flex',
      'box/flexDirection': 'column',
      'words/order': -1,
      'words/marginTop': '0rem',
      'words/marginBottom': '0.75rem',
    },
    'Wide and low': { 'map/aspectRatio': 3 },
  },
};
