import { above, below, readyLooks } from './look.ts';

export const navigationLooks = readyLooks('navigation', 'look', {
  Stacked: { 'list/flexDirection': 'column', 'list/alignItems': 'start' },
  Spread: { 'list/justifyContent': 'space-between' },
  Underlined: { 'link/textDecorationLine': 'underline' },
  Lined: {
    ...above('box', 'role.line'),
    ...below('box', 'role.line'),
    'box/paddingTop': '0.5rem',
    'box/paddingBottom': '0.5rem',
  },
});
