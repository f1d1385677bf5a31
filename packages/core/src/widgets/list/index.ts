import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { listLooks } from './looks.ts';

export const ORDERS = ['free', 'numbered'] as const;

/** Entries below each other; in order or not is part of what it says, how its marks look is style. */
export const list = element({
  name: 'list',
  label: 'List',
  family: 'text',
  about: 'Short points, nested',
  words: 'bullets points numbered ordered checklist',
  parts: { box: { label: 'List', kind: 'box' } },
  axes: ['look'],
  looks: listLooks,
  holds: 'box',
  accepts: ['listItem'],
  holdsAtFirst: [
    { widget: 'listItem', content: { text: [[{ text: 'First entry' }]] } },
    { widget: 'listItem', content: { text: [[{ text: 'Second entry' }]] } },
  ],
  sampleHolds: [
    { widget: 'listItem', content: { text: [[{ text: 'The first entry' }]] } },
    { widget: 'listItem', content: { text: [[{ text: 'The second entry' }]] } },
    { widget: 'listItem', content: { text: [[{ text: 'The third entry' }]] } },
  ],
  program: programStyles({
    'box/display': 'block',
    'box/marginTop': 0,
    'box/marginBottom': 0,
    'box/paddingLeft': '1.4em',
    'box/maxWidth': '40rem',
    'box/listStyleType': 'disc',
  }),
  content: {
    order: { type: 'choice', label: 'Order', options: ORDERS },
    marks: { type: 'icon', label: 'Icon before every entry' },
  },
  sample: { order: 'free', marks: null },
  begins: { order: 'free', marks: null },
  markup: content => h(content.order === 'numbered' ? 'ol' : 'ul', { part: 'box' }, CHILDREN),
});
