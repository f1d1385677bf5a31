import { MOVEMENT_NAMES } from './movements.ts';
import { rows } from './property.ts';

const EASINGS = ['ease', 'linear', 'ease-in', 'ease-out', 'ease-in-out'] as const;

export const MOTION = rows('motion', [
  {
    name: 'transitionDuration',
    css: 'transition-duration',
    label: 'Transition time',
    accepts: ['duration'],
    words: 'animation transition speed time hover',
  },
  {
    name: 'transitionTimingFunction',
    css: 'transition-timing-function',
    label: 'Transition easing',
    accepts: ['cubicBezier'],
    keywords: EASINGS,
    words: 'animation transition curve',
  },
  {
    name: 'animationName',
    css: 'animation-name',
    label: 'Movement',
    accepts: [],
    keywords: ['none', ...MOVEMENT_NAMES],
    words: 'animation entrance appear reveal attention shake pulse',
  },
  {
    name: 'animationTimeline',
    css: 'animation-timeline',
    label: 'Movement timeline',
    accepts: [],
    keywords: ['auto', 'view'],
    print: text => (text === 'view' ? 'view()' : text),
    words: 'animation scroll entrance time',
  },
  {
    name: 'animationRangeEnd',
    css: 'animation-range-end',
    label: 'Movement range',
    accepts: [],
    keywords: ['normal', 'entry', 'contain', 'cover'],
    words: 'animation scroll entrance range',
  },
  {
    name: 'animationDuration',
    css: 'animation-duration',
    label: 'Movement time',
    accepts: ['duration'],
    words: 'animation speed time',
  },
  {
    name: 'animationDelay',
    css: 'animation-delay',
    label: 'Movement delay',
    accepts: ['duration'],
    words: 'animation delay time after',
  },
  {
    name: 'animationTimingFunction',
    css: 'animation-timing-function',
    label: 'Movement easing',
    accepts: ['cubicBezier'],
    keywords: EASINGS,
    words: 'animation curve',
  },
  {
    name: 'animationIterationCount',
    css: 'animation-iteration-count',
    label: 'Movement repeats',
    accepts: ['number'],
    min: 1,
    // WCAG 2.2, 2.2.2: what moves by itself for more than five seconds would have to be stoppable, so it ends.
    max: 5,
    words: 'animation times loop',
  },
  {
    name: 'animationFillMode',
    css: 'animation-fill-mode',
    label: 'Movement fill',
    accepts: [],
    keywords: ['none', 'backwards', 'both'],
    words: 'animation before after fill',
  },
]);
