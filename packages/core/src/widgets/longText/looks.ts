import { type Looks, left } from '../kit/looks.ts';

export const longTextLooks: Looks = {
  look: {
    Narrower: { 'box/maxWidth': '32rem' },
    Airy: { 'row/marginTop': '2.5rem' },
    'At the left': { 'box/marginLeft': '0rem' },
    Barred: { ...left('box', 'role.line', '2px'), 'box/paddingLeft': '1.5rem' },
  },
};
