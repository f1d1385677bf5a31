import { plainOf, richText } from '../../content/index.ts';
import { corners, flatHeading, flatParagraph, linkStates, runBaseline, sides } from '../kit/baseline.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';
import { calloutLooks } from './looks.ts';

const LEVELS = [2, 3, 4, 5, 6] as const;

/** A short piece set apart from the running text. */
export const callout = element({
  name: 'callout',
  label: 'Callout',
  family: 'text',
  about: 'A word set apart',
  words: 'box highlight info tip aside',
  parts: {
    box: { label: 'Box', kind: 'box' },
    title: { label: 'Title', kind: 'heading', inside: 'box', shows: 'title' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'box' },
    ...runParts('paragraph'),
  },
  axes: ['look'],
  looks: calloutLooks,
  holds: null,
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'column',
    'box/rowGap': '0.4rem',
    'box/backgroundColor': 'role.raised',
    'box/maxWidth': '40rem',
    ...sides('box', 'padding', ['1rem', '1.25rem', '1rem', '1.25rem']),
    ...corners('box', '0.5rem'),
    ...flatHeading('title'),
    'title/color': 'role.heading',
    'title/fontWeight': 700,
    ...flatParagraph('paragraph'),
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    title: { type: 'plain', label: 'Title' },
    level: { type: 'choice', label: 'Title level', options: LEVELS },
    text: { type: 'rich', label: 'Words' },
  },
  sample: {
    title: 'Good to know',
    level: 3,
    text: [[{ text: 'Something that people should not miss, in a sentence.' }]],
  },
  begins: { title: 'Title', level: 3, text: richText('Write the text of this callout.') },
  markup: (content, context) => {
    const level = LEVELS.find(it => it === content.level) ?? 3;
    const title = plain(content, 'title');
    return h(
      'aside',
      { part: 'box', 'aria-label': title || null },
      title !== '' && h(`h${level}`, { part: 'title' }, title),
      ...rich(content, 'text').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
    );
  },
  summary: content => plain(content, 'title') || plainOf(rich(content, 'text')),
});
