import { rows } from './property.ts';

export const MOTION = rows('motion', [
  {
    name: 'transitionDuration',
    css: 'transition-duration',
    label: 'Change over',
    accepts: ['duration'],
    words: 'animation transition speed time hover',
  },
  {
    name: 'transitionTimingFunction',
    css: 'transition-timing-function',
    label: 'Easing',
    accepts: ['cubicBezier'],
    keywords: ['ease', 'linear', 'ease-in', 'ease-out', 'ease-in-out'],
    words: 'animation transition curve',
  },
]);
