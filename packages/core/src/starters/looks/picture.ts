import { around, padded, readyLooks } from './look.ts';
import { positionLooks } from './position.ts';

export const pictureLooks = [
  ...readyLooks('picture', 'frame', {
    Lined: around('picture', 'role.line'),
    Matted: {
      ...around('box', 'role.line'),
      ...padded('box', '0.75rem'),
      'box/backgroundColor': 'role.raised',
    },
    Tilted: { 'box/rotate': -1.5, ...padded('box', '0.75rem'), 'box/backgroundColor': 'role.raised' },
    Square: { 'picture/aspectRatio': 1, 'picture/objectFit': 'cover' },
  }),
  ...positionLooks('picture'),
];
