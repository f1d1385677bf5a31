import { around, type Looks, padded, round } from '../kit/looks.ts';

export const iconLooks: Looks = {
  shape: {
    'In a square': { 'box/backgroundColor': 'role.raised', ...padded('box', '0.75rem') },
    Ringed: { ...around('box', 'role.accent', '2px'), ...padded('box', '0.75rem'), ...round('box') },
    Filled: {
      'box/backgroundColor': 'role.mainFill',
      'icon/color': 'role.mainLabel',
      ...padded('box', '0.75rem'),
      ...round('box'),
    },
  },
};
