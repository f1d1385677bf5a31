import type { GuideSpec } from './readyGuide.ts';

export const logBook: GuideSpec = {
  id: 'log-book',
  name: 'Log book',
  about: 'Quiet and bookish: paper, ink, a thread of oxblood',
  swatches: [
    ['Brand', 'Oxblood', '#7a1f2b', 'action'],
    ['Brand', 'Rule', '#a8894f', 'accent'],
    ['Neutral', 'Page', '#fbf8f1'],
    ['Neutral', 'Fold', '#efe8d9'],
    ['Neutral', 'Pencil', '#6a6257'],
    ['Neutral', 'Ink', '#231f1a'],
    ['Status', 'Settled', '#3d6b3a'],
    ['Status', 'Pending', '#87601a'],
    ['Status', 'Struck', '#a4262c'],
    ['Status', 'Entry', '#3a5a86'],
  ],
  light: [
    ['Page', 'Page', 'Oxblood'],
    ['Fold', 'Fold', 'Oxblood'],
  ],
  dark: [
    ['Oxblood', 'Oxblood', 'Page'],
    ['Ink', 'Ink', 'Rule'],
  ],
  voices: { heading: 'Newsreader, serif', text: 'Newsreader, serif', code: 'Sometype Mono, monospace' },
  scale: { base: '1.0625rem .. 1.1875rem', ratio: 1.25 },
  heading: { weight: 500, tracking: '-0.01em', line: 1.14 },
  space: '0.5rem',
  padding: { snug: '1.5rem .. 2.5rem', fair: '3rem .. 5rem', roomy: '4.5rem .. 8rem' },
  width: '62rem',
  measure: '36rem',
  corners: { small: '0.125rem', card: '0.125rem' },
  lines: { fine: '1px', strong: '3px' },
  shadow: '0 2px 6px -2px {color.neutral.ink}',
  quick: '180ms',
  button: { weight: 500 },
};
