import { plainOf, richText } from '../../content/index.ts';
import { flatFigure, flatParagraph, linkStates, runBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { round } from '../kit/looks.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';
import { image } from '../picture/index.ts';
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
    person: { label: 'Person', kind: 'box', inside: 'box' },
    picture: { label: 'Picture', kind: 'picture', inside: 'person' },
    names: { label: 'Name and role', kind: 'box', inside: 'person' },
    source: { label: 'Source', kind: 'text', inside: 'names', shows: 'source' },
    role: { label: 'Role', kind: 'text', inside: 'names', shows: 'role' },
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
    'person/display': 'flex',
    'person/alignItems': 'center',
    'person/columnGap': '0.75rem',
    'picture/display': 'block',
    'picture/overflowX': 'clip',
    'picture/width': '3rem',
    'picture/height': '3rem',
    'picture/marginTop': '0.5em',
    'picture/objectFit': 'cover',
    'picture/backgroundColor': 'role.raised',
    ...round('picture'),
    'names/display': 'block',
    'names/flexGrow': 1,
    'source/display': 'block',
    'source/color': 'role.muted',
    'source/marginTop': '0.5em',
    'source/fontSize': '0.875em',
    'role/display': 'block',
    'role/color': 'role.muted',
    'role/fontSize': '0.875em',
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    words: { type: 'rich', label: 'Words' },
    source: { type: 'plain', label: 'Source' },
    role: { type: 'plain', label: 'Role or place' },
    asset: { type: 'asset', label: 'Picture' },
    alt: { type: 'plain', label: 'Alt text' },
  },
  sample: {
    words: [[{ text: 'Something somebody said, in their own words.' }]],
    source: 'Who said it',
    role: '',
    asset: null,
    alt: '',
  },
  begins: { words: richText('Write what was said here.'), source: '', role: '', asset: null, alt: '' },
  markup: (content, context) =>
    h(
      'figure',
      { part: 'box' },
      h(
        'blockquote',
        { part: 'words' },
        ...rich(content, 'words').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
      ),
      ['source', 'role', 'asset'].some(field => plain(content, field) !== '') &&
        h(
          'figcaption',
          { part: 'person' },
          typeof content.asset === 'string' && image(content.asset, plain(content, 'alt'), context),
          h(
            'div',
            { part: 'names' },
            plain(content, 'source') !== '' && h('span', { part: 'source' }, plain(content, 'source')),
            plain(content, 'role') !== '' && h('span', { part: 'role' }, plain(content, 'role')),
          ),
        ),
    ),
  summary: content => plainOf(rich(content, 'words')),
});
