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
    Square: { 'picture/aspectRatio': 1, 'picture/objectFit': 'cover' },
  },
  position: POSITIONS,
};
