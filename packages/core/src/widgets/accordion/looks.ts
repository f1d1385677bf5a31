import { around, type Looks } from '../kit/looks.ts';

const inset = (room: string) => ({
  'bar/paddingLeft': room,
  'bar/paddingRight': room,
  'panel/paddingLeft': room,
  'panel/paddingRight': room,
});

export const accordionLooks: Looks = {
  look: {
    Boxed: {
      'accordion/rowGap': '0.75rem',
      ...around('entry', 'role.line'),
      ...inset('1rem'),
    },
    Banded: {
      'accordion/rowGap': '0.25rem',
      'entry/borderBottomStyle': 'none',
      'bar/backgroundColor': 'role.raised',
      'panel/paddingTop': '0.75rem',
      ...inset('1rem'),
    },
    'Arrow first': { 'arrow/order': -1, 'title/fontWeight': 700 },
  },
};
