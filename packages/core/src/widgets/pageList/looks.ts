import { around, type Looks, padded } from '../kit/looks.ts';

export const pageListLooks: Looks = {
  look: {
    Cards: { ...around('entry', 'role.line'), ...padded('entry', '1.25rem') },
    'Picture beside': {
      'entry/display': 'grid',
      'entry/gridColumns': 2,
      'entry/columnGap': '1.25rem',
    },
  },
  arrangement: {
    'One below another': { 'list/gridColumns': 1, 'list@medium/gridColumns': 1 },
    'Two across': { 'list/gridColumns': 2 },
  },
};
