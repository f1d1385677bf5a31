import { below, type Looks } from '../kit/looks.ts';

export const siteTitleLooks: Looks = {
  look: {
    Spaced: { 'link/textTransform': 'uppercase', 'link/letterSpacing': '0.08em' },
    Accent: { 'link/color': 'role.accent' },
    Ruled: { ...below('link', 'role.accent', '3px') },
  },
};
