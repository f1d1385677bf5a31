import { above, below, type Looks } from '../kit/looks.ts';

export const navigationLooks: Looks = {
  look: {
    Stacked: { 'list/flexDirection': 'column', 'list/alignItems': 'start' },
    Spread: { 'list/justifyContent': 'space-between' },
    Underlined: { 'link/textDecorationLine': 'underline' },
    Lined: {
      ...above('box', 'role.line'),
      ...below('box', 'role.line'),
      'box/paddingTop': '0.5rem',
      'box/paddingBottom': '0.5rem',
    },
  },
};
