import { below, type Looks, left } from '../kit/looks.ts';

export const headingLooks: Looks = {
  look: {
    Ruled: { ...below('text', 'role.accent'), 'text/paddingBottom': '0.4rem' },
    Barred: { ...left('text', 'role.accent', '3px'), 'text/paddingLeft': '1rem' },
    Centred: { 'text/textAlign': 'center' },
    Spaced: { 'text/textTransform': 'uppercase', 'text/letterSpacing': '0.08em', 'text/fontSize': '1em' },
  },
};
