import { around, left, readyLooks, squared } from './look.ts';

export const preformattedLooks = readyLooks('preformatted', 'look', {
  Framed: { 'box/backgroundColor': 'role.surface', ...around('box', 'role.line') },
  Barred: { ...left('box', 'role.accent', '3px'), ...squared('box') },
});
