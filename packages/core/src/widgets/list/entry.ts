import { type Content, plainOf, richText } from '../../content/index.ts';
import { iconBaseline, linkStates, runBaseline } from '../kit/baseline.ts';
import { element, programStyles, rich } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { CHILDREN, h, linesToNodes, runParts } from '../kit/markup.ts';
import { ORDERS } from './index.ts';

type Said = Readonly<Record<string, Content>>;

const entry = (part: string, marks: string) => ({
  [`${part}/display`]: 'list-item',
  [`${part}/listStyleType`]: marks,
  [`${part}/marginBottom`]: '0.35em',
  [`${part}/textWrap`]: 'pretty',
});

/** The icon before an entry: its own, or that of all entries beside it. */
const markOf = ({ mark }: Said, { marks = null }: Said) => mark ?? marks;
const entryPart = (content: Said, holder: Said): 'item' | 'numbered' | 'signed' =>
  markOf(content, holder) !== null ? 'signed' : holder.order === 'numbered' ? 'numbered' : 'item';

/** One entry of a list, with a mark, a number or an icon before it; a list of its own can stand below it. */
export const listItem = element({
  name: 'listItem',
  label: 'List entry',
  family: 'text',
  parts: {
    item: { label: 'Item', kind: 'text', states: ['alternate'] },
    numbered: { label: 'Numbered item', kind: 'text', host: 'numbered', states: ['alternate'] },
    signed: { label: 'Item with an icon', kind: 'text', host: 'signed', states: ['alternate'] },
    marker: { label: 'Mark', kind: 'icon', inside: 'item', host: 'item', pseudo: 'marker' },
    number: { label: 'Number', kind: 'icon', inside: 'numbered', host: 'numbered', pseudo: 'marker' },
    sign: { label: 'Icon', kind: 'icon', inside: 'signed', host: 'signed' },
    words: {
      label: 'Words',
      kind: 'text',
      inside: 'item',
      insideOf: entryPart,
      host: 'words',
      shows: 'text',
    },
    below: { label: 'List below', kind: 'box', inside: 'item', insideOf: entryPart, host: 'below' },
    ...runParts('words'),
  },
  axes: ['look'],
  holds: 'below',
  accepts: ['listItem'],
  onlyIn: ['list', 'listItem'],
  sampleHolds: [],
  program: programStyles({
    ...entry('item', 'disc'),
    ...entry('numbered', 'decimal'),
    ...entry('signed', 'none'),
    'marker/color': 'role.accent',
    'number/color': 'role.accent',
    ...iconBaseline('sign', '1em'),
    'sign/display': 'inline-block',
    'sign/marginLeft': '-1.4em',
    'sign/marginRight': '0.4em',
    'words/display': 'inline',
    'below/display': 'block',
    'below/marginTop': '0.35em',
    'below/marginBottom': 0,
    'below/paddingLeft': '1.4em',
    'below/listStyleType': 'disc',
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    text: { type: 'rich', label: 'Words' },
    mark: { type: 'icon', label: 'Icon' },
    order: { type: 'choice', label: 'Order of entries below', options: ORDERS },
    marks: { type: 'icon', label: 'Icon before entries below' },
  },
  sample: { text: richText('The first entry'), mark: null, order: 'free', marks: null },
  begins: { text: richText('Entry'), mark: null, order: 'free', marks: null },
  markup: (content, context) => {
    const { holder = {} } = context.item ?? {};
    return h(
      'li',
      { part: entryPart(content, holder) },
      iconOf('sign', markOf(content, holder), context),
      h('span', { part: 'words' }, ...linesToNodes(rich(content, 'text'), context)),
      context.holdsAny && h(content.order === 'numbered' ? 'ol' : 'ul', { part: 'below' }, CHILDREN),
    );
  },
  summary: content => plainOf(rich(content, 'text')),
  loose: ({ text = [] }) => [{ widget: 'text', content: { text } }],
});
