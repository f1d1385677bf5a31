import { flatParagraph, iconBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { h } from '../kit/markup.ts';

/** One figure: a number as it is to be read, with its unit, what it counts, and a sign where wanted. */
export const figure = element({
  name: 'figure',
  label: 'Figure',
  family: 'pointing',
  parts: {
    figure: { label: 'Figure', kind: 'box', states: ['alternate'] },
    sign: { label: 'Icon', kind: 'icon', inside: 'figure' },
    value: { label: 'Number', kind: 'heading', inside: 'figure', shows: 'value' },
    words: { label: 'Words', kind: 'text', inside: 'figure', shows: 'words' },
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['figures'],
  program: programStyles({
    'figure/display': 'flex',
    'figure/flexDirection': 'column',
    'figure/alignItems': 'start',
    'figure/rowGap': '0.25rem',
    'figure/columnGap': '1rem',
    'figure/flexGrow': 1,
    'figure/flexBasis': '9rem',
    ...iconBaseline('sign', '2rem'),
    ...flatParagraph('value'),
    'value/color': 'role.heading',
    'value/fontWeight': 700,
    'value/fontSize': '2.5em',
    'value/lineHeight': 1.1,
    ...flatParagraph('words'),
  }),
  content: {
    value: { type: 'plain', label: 'Number' },
    words: { type: 'plain', label: 'What it counts', long: true },
    icon: { type: 'icon', label: 'Icon' },
  },
  sample: { value: '120', words: 'people', icon: null },
  begins: { value: '00', words: 'What it counts', icon: null },
  markup: (content, context) =>
    h(
      'li',
      { part: 'figure' },
      iconOf('sign', content.icon, context),
      h('p', { part: 'value' }, plain(content, 'value')),
      h('p', { part: 'words' }, plain(content, 'words')),
    ),
  summary: content => `${plain(content, 'value')} ${plain(content, 'words')}`.trim(),
  loose: content => [
    { widget: 'heading', content: { text: plain(content, 'value'), level: 3 } },
    { widget: 'text', content: { text: [[{ text: plain(content, 'words') }]] } },
  ],
});
