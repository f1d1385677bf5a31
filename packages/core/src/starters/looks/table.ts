import { around, padded, readyLooks } from './look.ts';

export const tableLooks = readyLooks('table', 'look', {
  Boxed: { ...around('cell', 'role.line'), ...around('figure', 'role.line'), ...around('side', 'role.line') },
  'Strong head': {
    'head/backgroundColor': 'role.mainFill',
    'head/color': 'role.mainLabel',
    'figureHead/backgroundColor': 'role.mainFill',
    'figureHead/color': 'role.mainLabel',
  },
  Raised: { 'box/backgroundColor': 'role.raised', ...padded('box', '1rem') },
});
