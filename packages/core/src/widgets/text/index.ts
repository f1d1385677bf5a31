import { plainOf, richText } from '../../content/index.ts';
import { flatParagraph, linkStates, runBaseline } from '../kit/baseline.ts';
import { element, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';
import { textLooks } from './looks.ts';

export const text = element({
  name: 'text',
  label: 'Text',
  family: 'text',
  about: 'Running paragraphs',
  words: 'paragraph copy words body write',
  parts: {
    box: { label: 'Text', kind: 'box' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'box' },
    dropCap: {
      label: 'First letter',
      kind: 'text',
      inside: 'paragraph',
      pseudo: 'first-letter',
      onFirst: true,
    },
    ...runParts('paragraph'),
  },
  axes: ['look'],
  looks: textLooks,
  holds: null,
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'column',
    'box/rowGap': '0.8em',
    ...flatParagraph('paragraph'),
    'paragraph/maxWidth': '40rem',
    'paragraph/textWrap': 'pretty',
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: { text: { type: 'rich', label: 'Words', parts: true } },
  sample: {
    text: [
      [
        { text: 'Running text, as it is read on a page. ' },
        { text: 'A link in it', link: { type: 'url', href: 'https://domain.example/' } },
        { text: ' leads somewhere else.' },
      ],
    ],
  },
  begins: { text: richText('Write the text here.') },
  markup: (content, context) =>
    h(
      'div',
      { part: 'box' },
      ...rich(content, 'text').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
    ),
  summary: content => plainOf(rich(content, 'text')),
});
