import { around, type Looks, left, squared } from '../kit/looks.ts';

export const preformattedLooks: Looks = {
  look: {
    Framed: { 'box/backgroundColor': 'role.surface', ...around('box', 'role.line') },
    Barred: { ...left('box', 'role.accent', '3px'), ...squared('box') },
  },
};
