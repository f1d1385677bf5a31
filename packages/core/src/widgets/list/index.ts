import { plainOf, richText } from '../../content/index.ts';
import { linkStates, runBaseline } from '../kit/baseline.ts';
import { element, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';

const item = (part: string, marks: string) => ({
  [`${part}/display`]: 'list-item',
  [`${part}/listStyleType`]: marks,
  [`${part}/marginBottom`]: '0.35em',
  [`${part}/textWrap`]: 'pretty',
});

/** An item a line; in order or not is part of what it says, how its marks look is style. */
export const list = element({
  name: 'list',
  label: 'List',
  family: 'text',
  parts: {
    box: { label: 'List', kind: 'box' },
    item: { label: 'Item', kind: 'text', inside: 'box' },
    numbered: { label: 'Numbered item', kind: 'text', inside: 'box' },
    marker: { label: 'Mark', kind: 'icon', inside: 'item', pseudo: 'marker' },
    number: { label: 'Number', kind: 'icon', inside: 'numbered', pseudo: 'marker' },
    ...runParts('item'),
  },
  axes: ['look'],
  holds: null,
  program: programStyles({
    'box/display': 'block',
    'box/marginTop': 0,
    'box/marginBottom': 0,
    'box/paddingLeft': '1.4em',
    'box/maxWidth': '40rem',
    'box/listStyleType': 'disc',
    ...item('item', 'disc'),
    ...item('numbered', 'decimal'),
    'marker/color': 'role.accent',
    'number/color': 'role.accent',
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    items: { type: 'rich', label: 'Items, one a paragraph' },
    order: { type: 'choice', label: 'Order', options: ['free', 'numbered'] },
  },
  sample: {
    items: [
      [{ text: 'Thirty spaces for cars' }],
      [{ text: 'Bikes by the bow' }],
      [{ text: 'Tea from the ramp up' }],
    ],
    order: 'free',
  },
  begins: { items: richText('First entry', 'Second entry'), order: 'free' },
  markup: (content, context) =>
    h(
      content.order === 'numbered' ? 'ol' : 'ul',
      { part: 'box' },
      ...rich(content, 'items').map(runs =>
        h('li', { part: content.order === 'numbered' ? 'numbered' : 'item' }, ...runsToNodes(runs, context)),
      ),
    ),
  summary: content => plainOf(rich(content, 'items')),
});
