import { plainOf, richText } from '../../content/index.ts';
import { corners, flatParagraph, line, runBaseline, sides } from '../kit/baseline.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';
import { noticeLooks } from './looks.ts';

/** News of the day. Its status is a variant of the guide and a word before it, so that colour is not all that tells. */
export const notice = element({
  name: 'notice',
  label: 'Notice',
  family: 'text',
  parts: {
    box: { label: 'Box', kind: 'box' },
    word: { label: 'Word', kind: 'label', inside: 'box', shows: 'word' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'box' },
    ...runParts('paragraph'),
  },
  axes: ['status', 'look'],
  looks: noticeLooks,
  holds: null,
  program: programStyles({
    'box/display': 'block',
    'box/backgroundColor': 'role.infoGround',
    'box/color': 'role.infoText',
    ...sides('box', 'padding', ['0.75rem', '1rem', '0.75rem', '1rem']),
    ...line('box', { width: '1px', style: 'solid', color: 'role.infoLine' }),
    ...corners('box', '0.375rem'),
    'word/fontWeight': 700,
    'word/display': 'block',
    ...flatParagraph('paragraph'),
    ...runBaseline,
    'link/color': 'currentcolor',
    'link:hover/textDecorationLine': 'none',
    'link:focus/outlineColor': 'currentcolor',
    'link:focus/outlineStyle': 'solid',
    'link:focus/outlineWidth': '2px',
    'link:focus/outlineOffset': '2px',
  }),
  content: {
    word: { type: 'plain', label: 'Word for the status' },
    text: { type: 'rich', label: 'Words' },
  },
  sample: { word: 'Note', text: [[{ text: 'Something that people should know today.' }]] },
  begins: { word: 'Note', text: richText('Write the notice here.') },
  markup: (content, context) =>
    h(
      'div',
      { part: 'box', role: 'note' },
      plain(content, 'word') !== '' && h('strong', { part: 'word' }, plain(content, 'word')),
      ...rich(content, 'text').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
    ),
  summary: content => plainOf(rich(content, 'text')),
});
