import { bare, below, type Looks, squared } from '../kit/looks.ts';

export const fieldLooks: Looks = {
  look: {
    Underlined: {
      ...bare('control'),
      ...below('control', 'role.fieldLine'),
      ...squared('control'),
      'control/paddingLeft': '0rem',
    },
    Raised: { 'control/backgroundColor': 'role.raised' },
  },
};
