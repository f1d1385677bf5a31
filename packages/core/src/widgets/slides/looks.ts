import { around, type Looks, padded, squared } from '../kit/looks.ts';

export const slidesLooks: Looks = {
  look: {
    'Several at once': { 'row/inView': 3, 'row@medium/inView': 2, 'row@narrow/inView': 1.15 },
    // Each as wide as its own proportions ask for at one height.
    Strip: {
      'row/inView': 'max-content',
      'picture/height': '16em',
      'picture/width': 'auto',
      'picture/maxWidth': 'none',
      'picture/aspectRatio': 'auto',
      'bar/display': 'none',
    },
    'Words beside': {
      'frame/flexDirection': 'row',
      'frame/alignItems': 'center',
      'mount/width': '55%',
      'words/flexBasis': '45%',
      'frame@narrow/flexDirection': 'column',
      'frame@narrow/alignItems': 'stretch',
      'mount@narrow/width': '100%',
      'words@narrow/flexBasis': 'auto',
    },
    'Words over the picture': {
      'frame/display': 'grid',
      'picture/columnStart': 1,
      'picture/rowStart': 1,
      'mount/columnStart': 1,
      'mount/rowStart': 1,
      'words/columnStart': 1,
      'words/rowStart': 1,
      'words/alignSelf': 'end',
      'words/inFront': 1,
      'words/backgroundColor': 'role.surface',
      ...padded('words', '1rem'),
    },
    'Controls at the top': { 'bar/order': -1, 'bar/justifyContent': 'end' },
    'Small pictures below': {
      'dots/columnGap': '0.5rem',
      'dot/width': '4em',
      'dot/height': '3em',
      ...padded('dot', '2px'),
      ...around('dot', 'role.line', '2px'),
      'dot:selected/borderTopColor': 'role.accent',
      'dot:selected/borderRightColor': 'role.accent',
      'dot:selected/borderBottomColor': 'role.accent',
      'dot:selected/borderLeftColor': 'role.accent',
      ...squared('thumb'),
    },
  },
};
