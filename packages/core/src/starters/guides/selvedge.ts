import type { GuideSpec } from './readyGuide.ts';

export const selvedge: GuideSpec = {
  id: 'selvedge',
  name: 'Selvedge',
  about: 'Stark and exact: black on white, one bright edge, no curves',
  swatches: [
    ['Brand', 'Edge', 'oklch(0.62 0.2 145)', 'action'],
    ['Brand', 'Signal', 'oklch(0.7 0.19 45)', 'accent'],
    ['Neutral', 'White', '#ffffff'],
    ['Neutral', 'Cloth', '#f0f0ef'],
    ['Neutral', 'Lead', '#5c5c5a'],
    ['Neutral', 'Black', '#0d0d0d'],
    ['Status', 'Good', '#1d7a3a'],
    ['Status', 'Careful', '#8a5a00'],
    ['Status', 'Stop', '#c01f1f'],
    ['Status', 'Note', '#1d5fbf'],
  ],
  light: [
    ['White', 'White', 'Black'],
    ['Cloth', 'Cloth', 'Edge'],
  ],
  dark: [
    ['Black', 'Black', 'Edge'],
    ['Lead', 'Lead', 'White'],
  ],
  voices: {
    heading: 'Space Grotesk, sans-serif',
    text: 'Inter, sans-serif',
    code: 'JetBrains Mono, monospace',
  },
  scale: { base: '1rem', ratio: 1.333 },
  heading: { weight: 600, tracking: '-0.03em', line: 1.02 },
  space: '0.5rem',
  padding: { snug: '1rem .. 1.5rem', fair: '2rem .. 4rem', roomy: '4rem .. 8rem' },
  width: '76rem',
  measure: '40rem',
  corners: { small: '0px', card: '0px' },
  lines: { fine: '1px', strong: '4px' },
  shadow: '6px 6px 0 0 {color.neutral.black}',
  quick: '80ms',
  button: { weight: 500, tracking: '0.02em' },
};
