import { around, type Looks, left, squared } from '../kit/looks.ts';

export const calloutLooks: Looks = {
  look: {
    Barred: { ...left('box', 'role.accent', '4px'), ...squared('box') },
    Outlined: { 'box/backgroundColor': 'role.surface', ...around('box', 'role.accent') },
    Strong: {
      'box/backgroundColor': 'role.mainFill',
      'box/color': 'role.mainLabel',
      'title/color': 'role.mainLabel',
      // Links may be of the colour of this very ground.
      'link/color': 'currentcolor',
      'link:hover/color': 'currentcolor',
    },
  },
};
