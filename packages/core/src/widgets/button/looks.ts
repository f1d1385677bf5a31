import { around, bare, below, type Looks, squared } from '../kit/looks.ts';

export const buttonLooks: Looks = {
  kind: {
    Outlined: {
      'box/backgroundColor': 'role.secondFill',
      'box/color': 'role.secondLabel',
      ...around('box', 'role.secondLine'),
      'box:hover/backgroundColor': 'role.secondFillHover',
      'box:hover/color': 'role.secondLabelHover',
      'box:pressed/backgroundColor': 'role.secondFillPressed',
      'box:pressed/color': 'role.secondLabelPressed',
    },
    Quiet: {
      'box/backgroundColor': 'role.quietFill',
      'box/color': 'role.quietLabel',
      ...around('box', 'role.quietFill'),
      'box:hover/backgroundColor': 'role.quietFillHover',
      'box:hover/color': 'role.quietLabelHover',
      'box:pressed/backgroundColor': 'role.quietFillPressed',
      'box:pressed/color': 'role.quietLabelPressed',
    },
    Underlined: {
      'box/backgroundColor': 'role.surface',
      'box/color': 'role.link',
      ...bare('box'),
      ...below('box', 'role.link'),
      ...squared('box'),
      'box/paddingLeft': '0rem',
      'box/paddingRight': '0rem',
      'box:hover/backgroundColor': 'role.surface',
      'box:hover/color': 'role.linkHover',
      'box:pressed/backgroundColor': 'role.surface',
      'box:pressed/color': 'role.linkHover',
    },
    Square: squared('box'),
  },
};
