import { bare, type Looks, left, squared } from '../kit/looks.ts';

export const noticeLooks: Looks = {
  look: {
    Barred: { ...bare('box'), ...left('box', 'role.infoLine', '4px'), ...squared('box') },
    'In one line': { 'box/display': 'flex', 'box/columnGap': '0.75rem', 'box/alignItems': 'baseline' },
  },
};
