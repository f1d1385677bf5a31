import { rows } from './property.ts';

export const EFFECT = rows('effect', [
  {
    name: 'boxShadow',
    css: 'box-shadow',
    label: 'Shadow',
    accepts: ['shadow'],
    keywords: ['none'],
    words: 'depth lift glow elevation',
  },
  {
    name: 'maskImage',
    css: 'mask-image',
    label: 'Cut to a shape',
    accepts: ['gradient', 'picture', 'pattern'],
    keywords: ['none'],
    words: 'mask frame crop mark drawing fade out',
  },
  {
    name: 'maskSize',
    css: 'mask-size',
    label: 'Shape fits',
    accepts: ['dimension'],
    min: 0,
    keywords: ['auto', 'cover', 'contain'],
    words: 'mask frame size',
  },
  {
    name: 'maskRepeat',
    css: 'mask-repeat',
    label: 'Shape repeats',
    accepts: [],
    keywords: ['repeat', 'no-repeat', 'round', 'space'],
    words: 'mask frame tile',
  },
  {
    name: 'maskPosition',
    css: 'mask-position',
    label: 'Shape stands',
    accepts: [],
    keywords: ['center', 'top', 'right', 'bottom', 'left'],
    words: 'mask frame place',
  },
  {
    name: 'translate',
    css: 'translate',
    label: 'Shift sideways',
    accepts: ['dimension'],
    keywords: ['none'],
    words: 'move offset transform',
  },
]);
