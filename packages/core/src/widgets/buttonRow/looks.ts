import type { Looks } from '../kit/looks.ts';

export const buttonRowLooks: Looks = {
  arrangement: {
    Centred: { 'box/justifyContent': 'center' },
    'To the end': { 'box/justifyContent': 'end' },
    Stacked: { 'box/flexDirection': 'column', 'box/alignItems': 'start' },
  },
};
