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
    name: 'translate',
    css: 'translate',
    label: 'Shift sideways',
    accepts: ['dimension'],
    keywords: ['none'],
    words: 'move offset transform',
  },
]);
