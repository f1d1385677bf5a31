import { richText } from '../../content/index.ts';
import { flatHeading, iconBaseline, line } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { round } from '../kit/looks.ts';
import { CHILDREN, h } from '../kit/markup.ts';

const LEVELS = [2, 3, 4, 5, 6] as const;

/** One step: its number, or a sign in the place of it, a line on to the next step, a title, and any widgets below it. */
export const step = element({
  name: 'step',
  label: 'Step',
  family: 'pointing',
  parts: {
    step: { label: 'Step', kind: 'box', states: ['alternate'] },
    side: { label: 'Side', kind: 'box', inside: 'step' },
    mark: { label: 'Number', kind: 'label', inside: 'side' },
    sign: { label: 'Icon', kind: 'icon', inside: 'mark' },
    line: { label: 'Line', kind: 'box', inside: 'side' },
    words: { label: 'Words', kind: 'box', inside: 'step' },
    title: { label: 'Title', kind: 'heading', inside: 'words', shows: 'title' },
    body: { label: 'Body', kind: 'box', inside: 'words' },
  },
  axes: ['look'],
  holds: 'body',
  onlyIn: ['steps'],
  holdsAtFirst: [{ widget: 'text' }],
  sampleHolds: [{ widget: 'text', content: { text: richText('What happens then, in a sentence or two.') } }],
  // The line leads on to the next step, and behind the last one there is none.
  css: [':where(.step-step:last-child)>:where(.step-side)>:where(.step-line){visibility:hidden}'],
  program: programStyles({
    'step/display': 'flex',
    'step/alignItems': 'stretch',
    'step/columnGap': '1rem',
    'step/rowGap': '0.75rem',
    'side/display': 'flex',
    'side/flexDirection': 'column',
    'side/alignItems': 'center',
    'side/rowGap': '0.5rem',
    'side/columnGap': '0.5rem',
    'mark/display': 'flex',
    'mark/alignItems': 'center',
    'mark/justifyContent': 'center',
    'mark/boxSizing': 'border-box',
    'mark/width': '2.25em',
    'mark/height': '2.25em',
    ...line('mark', { width: '2px', style: 'solid', color: 'role.accent' }),
    ...round('mark'),
    'mark/color': 'role.heading',
    'mark/fontWeight': 700,
    'mark/lineHeight': 1,
    ...iconBaseline('sign', '1.2em'),
    'line/display': 'block',
    'line/flexGrow': 1,
    ...line('line', { width: '0px', style: 'solid', color: 'role.line' }),
    'words/display': 'flex',
    'words/flexDirection': 'column',
    'words/rowGap': '0.5rem',
    'words/flexGrow': 1,
    ...flatHeading('title'),
    'title/color': 'role.heading',
    'title/fontWeight': 700,
    'title/fontSize': '1.25em',
    'title/lineHeight': 1.3,
    'body/display': 'flex',
    'body/flexDirection': 'column',
    'body/alignItems': 'stretch',
    'body/rowGap': '0.75rem',
  }),
  content: {
    title: { type: 'plain', label: 'Title' },
    icon: { type: 'icon', label: 'Icon' },
  },
  sample: { title: 'Ask', icon: null },
  begins: { title: 'Title', icon: null },
  markup: (content, context) => {
    const { holder = {}, index = () => 0 } = context.item ?? {};
    const level = LEVELS.find(it => it === holder.level) ?? 3;
    const sign = iconOf('sign', content.icon, context);
    return h(
      'li',
      { part: 'step' },
      h(
        'div',
        { part: 'side' },
        h('span', { part: 'mark' }, sign ?? String(index() + 1)),
        h('span', { part: 'line' }),
      ),
      h(
        'div',
        { part: 'words' },
        h(`h${level}`, { part: 'title' }, plain(content, 'title')),
        h('div', { part: 'body' }, CHILDREN),
      ),
    );
  },
  summary: content => plain(content, 'title'),
  loose: content => [{ widget: 'heading', content: { text: plain(content, 'title'), level: 3 } }],
});
