import { bare, below, readyLooks, squared } from './look.ts';

export const fieldLooks = readyLooks('field', 'look', {
  Underlined: {
    ...bare('control'),
    ...below('control', 'role.fieldLine'),
    ...squared('control'),
    'control/paddingLeft': '0rem',
  },
  Raised: { 'control/backgroundColor': 'role.raised' },
});
