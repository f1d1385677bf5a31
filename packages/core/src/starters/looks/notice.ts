import { bare, left, readyLooks, squared } from './look.ts';

export const noticeLooks = readyLooks('notice', 'look', {
  Barred: { ...bare('box'), ...left('box', 'role.infoLine', '4px'), ...squared('box') },
  'In one line': { 'box/display': 'flex', 'box/columnGap': '0.75rem', 'box/alignItems': 'baseline' },
});
