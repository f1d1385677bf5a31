import { below, type Looks } from '../kit/looks.ts';

export const listLooks: Looks = {
  look: {
    Ruled: {
      ...below('item', 'role.line'),
      'item/paddingBottom': '0.5rem',
      ...below('numbered', 'role.line'),
      'numbered/paddingBottom': '0.5rem',
      ...below('signed', 'role.line'),
      'signed/paddingBottom': '0.5rem',
    },
    Squares: { 'box/listStyleType': 'square', 'item/listStyleType': 'square' },
    Bare: { 'box/listStyleType': 'none', 'item/listStyleType': 'none', 'box/paddingLeft': '0rem' },
  },
};
