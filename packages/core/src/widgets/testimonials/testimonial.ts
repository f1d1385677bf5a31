import { plainOf, richText } from '../../content/index.ts';
import { flatFigure, flatParagraph, iconBaseline, linkStates, runBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { round } from '../kit/looks.ts';
import { h, runParts, runsToNodes, svg } from '../kit/markup.ts';
import { image } from '../picture/index.ts';

/** Two commas, as they open a quotation; drawn, so that they take any colour of the scheme. */
const COMMAS = {
  width: 24,
  height: 24,
  paths: ['M3 5h7v7c0 4-2 6-6 7l-1-2c2-1 3-2 3-5H3z', 'M14 5h7v7c0 4-2 6-6 7l-1-2c2-1 3-2 3-5h-3z'].map(
    d => ({
      d,
      fill: 'currentcolor',
      stroke: 'none',
      width: null,
    }),
  ),
};

/** One person’s words, below a sign that says that they are such, and who that is. */
export const testimonial = element({
  name: 'testimonial',
  label: 'Testimonial',
  family: 'pointing',
  parts: {
    voice: { label: 'Testimonial', kind: 'box', states: ['alternate'] },
    sign: { label: 'Sign', kind: 'icon', inside: 'voice' },
    words: { label: 'Words', kind: 'box', inside: 'voice' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'words' },
    ...runParts('paragraph'),
    person: { label: 'Person', kind: 'box', inside: 'voice' },
    picture: { label: 'Picture', kind: 'picture', inside: 'person' },
    names: { label: 'Name and role', kind: 'box', inside: 'person' },
    name: { label: 'Name', kind: 'label', inside: 'names', shows: 'name' },
    role: { label: 'Role', kind: 'text', inside: 'names', shows: 'role' },
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['testimonials'],
  program: programStyles({
    'voice/display': 'flex',
    'voice/flexDirection': 'column',
    'voice/alignItems': 'start',
    'voice/rowGap': '1rem',
    'voice/columnGap': '1.5rem',
    'voice/flexGrow': 1,
    'voice/flexBasis': '15rem',
    ...iconBaseline('sign', '1.75rem'),
    ...flatFigure('words'),
    ...flatParagraph('paragraph'),
    ...runBaseline,
    ...linkStates('link'),
    'person/display': 'flex',
    'person/alignItems': 'center',
    'person/columnGap': '0.75rem',
    'person/rowGap': '0.5rem',
    'picture/display': 'block',
    'picture/overflowX': 'clip',
    'picture/width': '3rem',
    'picture/height': '3rem',
    'picture/objectFit': 'cover',
    'picture/backgroundColor': 'role.raised',
    ...round('picture'),
    'names/display': 'flex',
    'names/flexDirection': 'column',
    'name/display': 'block',
    'name/color': 'role.heading',
    'name/fontWeight': 700,
    'name/lineHeight': 1.3,
    ...flatParagraph('role'),
    'role/color': 'role.muted',
    'role/fontSize': '0.875em',
  }),
  content: {
    words: { type: 'rich', label: 'Words' },
    name: { type: 'plain', label: 'Name' },
    role: { type: 'plain', label: 'Role or place' },
    asset: { type: 'asset', label: 'Picture' },
    alt: { type: 'plain', label: 'Alt text' },
    icon: { type: 'icon', label: 'Sign' },
  },
  sample: {
    words: richText('Something somebody said, in their own words.'),
    name: 'Who said it',
    role: 'And from where',
    asset: null,
    alt: '',
    icon: null,
  },
  begins: {
    words: richText('Write what was said here.'),
    name: 'Name',
    role: '',
    asset: null,
    alt: '',
    icon: null,
  },
  markup: (content, context) =>
    h(
      'li',
      { part: 'voice' },
      iconOf('sign', content.icon, context) ?? svg('sign', COMMAS),
      h(
        'blockquote',
        { part: 'words' },
        ...rich(content, 'words').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
      ),
      h(
        'div',
        { part: 'person' },
        typeof content.asset === 'string' && image(content.asset, plain(content, 'alt'), context),
        h(
          'div',
          { part: 'names' },
          h('span', { part: 'name' }, plain(content, 'name')),
          plain(content, 'role') !== '' && h('p', { part: 'role' }, plain(content, 'role')),
        ),
      ),
    ),
  summary: content => plainOf(rich(content, 'words')),
  loose: ({ words = [], name = '' }) => [{ widget: 'quote', content: { words, source: name } }],
});
