import { around, below, type Looks, padded } from '../kit/looks.ts';

/** Rows as cards where there is no room for columns: each cell in a line of its own, with what its column is about before it. */
export const TABLE_CARDS = {
  'table@narrow/display': 'block',
  'rows@narrow/display': 'block',
  'caption@narrow/display': 'block',
  'row@narrow/display': 'block',
  'row@narrow/paddingBottom': '1rem',
  'head@narrow/display': 'none',
  'figureHead@narrow/display': 'none',
  'side@narrow/display': 'block',
  'side@narrow/paddingRight': '0rem',
  ...Object.fromEntries(
    ['cell', 'figure'].flatMap(part => [
      [`${part}@narrow/display`, 'flex'],
      [`${part}@narrow/justifyContent`, 'space-between'],
      [`${part}@narrow/columnGap`, '1rem'],
      [`${part}@narrow/paddingRight`, '0rem'],
    ]),
  ),
  'cellLabel@narrow/display': 'block',
  'cellLabel@narrow/color': 'role.muted',
};

const strongHead = (part: string) => ({
  [`${part}/backgroundColor`]: 'role.raised',
  [`${part}/color`]: 'role.heading',
  ...below(part, 'role.accent', '3px'),
});

export const tableLooks: Looks = {
  look: {
    Boxed: {
      ...around('cell', 'role.line'),
      ...around('figure', 'role.line'),
      ...around('side', 'role.line'),
    },
    'Strong head': {
      // A ground on which links can be read as well, which need not be so on the fill of a button.
      ...strongHead('head'),
      ...strongHead('figureHead'),
    },
    Raised: { 'box/backgroundColor': 'role.raised', ...padded('box', '1rem') },
    Striped: {
      'row:alternate/backgroundColor': 'role.raised',
      'side/paddingLeft': '0.75rem',
      'head/paddingLeft': '0.75rem',
      'cell/borderBottomStyle': 'none',
      'figure/borderBottomStyle': 'none',
      'side/borderBottomStyle': 'none',
    },
    'Lines across alone': {
      ...below('row', 'role.line'),
      'head/borderBottomStyle': 'none',
      'figureHead/borderBottomStyle': 'none',
      'cell/borderBottomStyle': 'none',
      'figure/borderBottomStyle': 'none',
      'side/borderBottomStyle': 'none',
    },
  },
  arrangement: { 'Rows as cards': TABLE_CARDS },
};
