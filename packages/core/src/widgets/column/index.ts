import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { columnLooks } from './looks.ts';

/** One of several that stand side by side in a section or group, its widgets below each other. */
export const column = element({
  name: 'column',
  label: 'Column',
  family: 'structure',
  about: 'One below the other',
  words: 'stack container box',
  parts: { box: { label: 'Column', kind: 'box' } },
  axes: ['look'],
  looks: columnLooks,
  holds: 'box',
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'column',
    'box/alignItems': 'stretch',
    'box/rowGap': '1.25rem',
    'box/flexGrow': 1,
    'box/flexBasis': '14rem',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('div', { part: 'box' }, CHILDREN),
});
