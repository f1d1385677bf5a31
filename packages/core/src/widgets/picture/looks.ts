import { around, type Looks, POSITIONS, padded } from '../kit/looks.ts';

export const pictureLooks: Looks = {
  frame: {
    Lined: around('picture', 'role.line'),
    Matted: {
      ...around('box', 'role.line'),
      ...padded('box', '0.75rem'),
      'box/backgroundColor': 'role.raised',
    },
    Tilted: { 'box/rotate': -1.5, ...padded('box', '0.75rem'), 'box/backgroundColor': 'role.raised' },
    // The shape behind shows where the picture leaves it room.
    'Offset shape': {
      'box/backgroundColor': 'role.accent',
      'box/paddingRight': '0.75rem',
      'box/paddingBottom': '0.75rem',
      'caption/color': 'role.surface',
    },
    'Caption over it': {
      'box/display': 'grid',
      'picture/columnStart': 1,
      'picture/rowStart': 1,
      'mount/columnStart': 1,
      'mount/rowStart': 1,
      'caption/columnStart': 1,
      'caption/rowStart': 1,
      'caption/alignSelf': 'end',
      'caption/inFront': 1,
      'caption/color': 'role.text',
      'caption/backgroundColor': 'role.surface',
      ...padded('caption', '0.5rem'),
    },
    'Caption beside it': {
      'box/display': 'flex',
      'box/columnGap': '1rem',
      'box/alignItems': 'end',
      'mount/width': '70%',
      'box@narrow/display': 'block',
      'mount@narrow/width': '100%',
    },
    'Zooms under the pointer': {
      'box/overflowX': 'clip',
      'picture/transitionDuration': '140ms',
      'picture:hover/scale': 1.05,
    },
    Square: { 'picture/aspectRatio': 1, 'picture/objectFit': 'cover' },
  },
  position: POSITIONS,
};
