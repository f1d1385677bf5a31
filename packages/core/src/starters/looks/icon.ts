import { around, padded, readyLooks, round } from './look.ts';

export const iconLooks = readyLooks('icon', 'shape', {
  'In a square': { 'box/backgroundColor': 'role.raised', ...padded('box', '0.75rem') },
  Ringed: { ...around('box', 'role.accent', '2px'), ...padded('box', '0.75rem'), ...round('box') },
  Filled: {
    'box/backgroundColor': 'role.mainFill',
    'icon/color': 'role.mainLabel',
    ...padded('box', '0.75rem'),
    ...round('box'),
  },
});
