import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { buttonRowLooks } from './looks.ts';

/** Buttons side by side; they wrap where there is no room. */
export const buttonRow = element({
  name: 'buttonRow',
  label: 'Button row',
  family: 'action',
  about: 'Several things to do',
  words: 'buttons links actions cta',
  parts: { box: { label: 'Row', kind: 'box' } },
  axes: ['arrangement'],
  looks: buttonRowLooks,
  holds: 'box',
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'row',
    'box/flexWrap': 'wrap',
    'box/alignItems': 'center',
    'box/rowGap': '0.5rem',
    'box/columnGap': '0.75rem',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('div', { part: 'box' }, CHILDREN),
});
