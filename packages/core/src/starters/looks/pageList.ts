import { around, padded, readyLooks } from './look.ts';

export const pageListLooks = [
  ...readyLooks('pageList', 'look', {
    Cards: { ...around('entry', 'role.line'), ...padded('entry', '1.25rem') },
    'Picture beside': {
      'entry/display': 'grid',
      'entry/gridColumns': 2,
      'entry/columnGap': '1.25rem',
    },
  }),
  ...readyLooks('pageList', 'arrangement', {
    'One below another': { 'list/gridColumns': 1, 'list@medium/gridColumns': 1 },
    'Two across': { 'list/gridColumns': 2 },
  }),
];
