import { readyLooks } from './look.ts';

export const buttonRowLooks = readyLooks('buttonRow', 'arrangement', {
  Centred: { 'box/justifyContent': 'center' },
  'To the end': { 'box/justifyContent': 'end' },
  Stacked: { 'box/flexDirection': 'column', 'box/alignItems': 'start' },
});
