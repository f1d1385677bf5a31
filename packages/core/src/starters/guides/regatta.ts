import type { GuideSpec } from './readyGuide.ts';

export const regatta: GuideSpec = {
  id: 'regatta',
  name: 'Regatta',
  about: 'Loud and wide: flags, bold letters, hard colours',
  swatches: [
    ['Brand', 'Pennant', '#d3122f', 'identity'],
    ['Brand', 'Course', '#10219c', 'action'],
    ['Brand', 'Flare', '#ffc414', 'accent'],
    ['Neutral', 'Sail', '#ffffff'],
    ['Neutral', 'Mist', '#eef0fb'],
    ['Neutral', 'Rope', '#565b7d'],
    ['Neutral', 'Hull', '#0b1030'],
    ['Status', 'Go', '#0f7b3e'],
    ['Status', 'Hold', '#8f5b00'],
    ['Status', 'Recall', '#c3102b'],
    ['Status', 'Board', '#2348c7'],
  ],
  light: [
    ['Sail', 'Sail', 'Course'],
    ['Flare', 'Flare', 'Course'],
  ],
  dark: [
    ['Course', 'Course', 'Flare'],
    ['Hull', 'Hull', 'Flare'],
  ],
  voices: {
    heading: 'Syne, sans-serif',
    text: 'Plus Jakarta Sans, sans-serif',
    code: 'ui-monospace, monospace',
  },
  scale: { base: '1rem .. 1.125rem', ratio: 1.26 },
  heading: { weight: 800, tracking: '-0.02em', line: 1 },
  space: '0.5rem',
  padding: { snug: '1.5rem .. 2rem', fair: '3rem .. 5rem', roomy: '5rem .. 9rem' },
  width: '74rem',
  measure: '38rem',
  corners: { small: '999px', card: '1.5rem' },
  lines: { fine: '2px', strong: '4px' },
  shadow: '0 8px 0 -2px {color.neutral.hull}',
  quick: '120ms',
  button: { weight: 700 },
};
