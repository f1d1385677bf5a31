import { around, left, readyLooks, squared } from './look.ts';

export const calloutLooks = readyLooks('callout', 'look', {
  Barred: { ...left('box', 'role.accent', '4px'), ...squared('box') },
  Outlined: { 'box/backgroundColor': 'role.surface', ...around('box', 'role.accent') },
  Strong: {
    'box/backgroundColor': 'role.mainFill',
    'box/color': 'role.mainLabel',
    'title/color': 'role.mainLabel',
  },
});
