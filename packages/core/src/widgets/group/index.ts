import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { groupLooks } from './looks.ts';

/** Holds widgets beside or below each other. */
export const group = element({
  name: 'group',
  label: 'Group',
  family: 'structure',
  about: 'Things kept together',
  words: 'row columns grid container box',
  parts: { box: { label: 'Box', kind: 'box', states: ['hover'] } },
  axes: ['arrangement'],
  looks: groupLooks,
  holds: 'box',
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'row',
    'box/flexWrap': 'wrap',
    'box/alignItems': 'start',
    'box/rowGap': '1rem',
    'box/columnGap': '1rem',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('div', { part: 'box' }, CHILDREN),
});
