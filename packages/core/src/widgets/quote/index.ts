import { plainOf, richText } from '../../content/index.ts';
import { flatFigure, flatParagraph, linkStates, runBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';
import { quoteLooks } from './looks.ts';

/** Somebody's words, and whose they are. */
export const quote = element({
  name: 'quote',
  label: 'Quote',
  family: 'text',
  about: 'Somebody’s own words',
  words: 'quotation citation saying pull',
  parts: {
    box: { label: 'Quote', kind: 'box' },
    words: { label: 'Words', kind: 'box', inside: 'box' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'words' },
    ...runParts('paragraph'),
    source: { label: 'Source', kind: 'text', inside: 'box', shows: 'source' },
  },
  axes: ['look', 'position'],
  looks: quoteLooks,
  longFormAxes: ['position'],
  holds: null,
  program: programStyles({
    ...flatFigure('box'),
    'box/maxWidth': '36rem',
    'box/paddingLeft': '1rem',
    'box/borderLeftWidth': '3px',
    'box/borderLeftStyle': 'solid',
    'box/borderLeftColor': 'role.accent',
    ...flatFigure('words'),
    ...flatParagraph('paragraph'),
    'paragraph/fontStyle': 'italic',
    'source/display': 'block',
    'source/color': 'role.muted',
    'source/marginTop': '0.5em',
    'source/fontSize': '0.875em',
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    words: { type: 'rich', label: 'Words' },
    source: { type: 'plain', label: 'Source' },
  },
  sample: {
    words: [[{ text: 'Something somebody said, in their own words.' }]],
    source: 'Who said it',
  },
  begins: { words: richText('Write what was said here.'), source: '' },
  markup: (content, context) =>
    h(
      'figure',
      { part: 'box' },
      h(
        'blockquote',
        { part: 'words' },
        ...rich(content, 'words').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
      ),
      plain(content, 'source') !== '' && h('figcaption', { part: 'source' }, plain(content, 'source')),
    ),
  summary: content => plainOf(rich(content, 'words')),
});
