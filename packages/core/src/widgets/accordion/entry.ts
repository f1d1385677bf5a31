import { richText } from '../../content/index.ts';
import { flatHeading, focusRing, iconBaseline, line, sides } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { CHILDREN, h, svg } from '../kit/markup.ts';

const LEVELS = [2, 3, 4, 5, 6] as const;

/** An arrow that points down; it turns over where the entry is open. */
const ARROW = {
  width: 24,
  height: 24,
  paths: [{ d: 'M6 9l6 6l6-6', fill: 'none', stroke: 'currentcolor', width: null }],
};

/**
 * One entry of an accordion. It is HTML's own disclosure, which opens by pointer and keys without a script, is opened by a
 * search in the page and by a link to what stands in it, and of which several can share a name so that one at a time is open
 * (HTML, section 4.11.1).
 */
export const accordionEntry = element({
  name: 'accordionEntry',
  label: 'Entry',
  family: 'turns',
  parts: {
    entry: { label: 'Entry', kind: 'box', states: ['selected'] },
    bar: {
      label: 'Bar',
      kind: 'box',
      inside: 'entry',
      host: 'bar',
      states: ['hover', 'focus', 'pressed'],
      selectedWith: 'entry',
    },
    sign: { label: 'Icon', kind: 'icon', inside: 'bar', host: 'bar', selectedWith: 'entry' },
    title: {
      label: 'Title',
      kind: 'heading',
      inside: 'bar',
      host: 'bar',
      selectedWith: 'entry',
      shows: 'title',
    },
    arrow: { label: 'Arrow', kind: 'icon', inside: 'bar', host: 'bar', selectedWith: 'entry' },
    panel: { label: 'Panel', kind: 'box', inside: 'entry' },
  },
  axes: ['look'],
  holds: 'panel',
  onlyIn: ['accordion'],
  closes: true,
  holdsAtFirst: [{ widget: 'text' }],
  sampleHolds: [{ widget: 'text', content: { text: richText('The answer, in a sentence or two.') } }],
  // A browser’s own sheet sets the mark of a list here, which is no list.
  base: { bar: 'list-style:inherit' },
  // On paper everything is there to be read.
  css: [
    '@media print{:where(.accordionEntry-entry)::details-content{content-visibility:visible;block-size:auto}}',
  ],
  program: programStyles({
    'entry/display': 'block',
    ...line('entry', { style: 'solid', color: 'role.line', width: '0px' }),
    'entry/borderBottomWidth': '1px',
    'bar/display': 'flex',
    'bar/alignItems': 'center',
    'bar/columnGap': '0.75rem',
    'bar/cursor': 'pointer',
    'bar/color': 'role.heading',
    ...sides('bar', 'padding', ['0.875rem', '0px', '0.875rem', '0px']),
    'bar:hover/color': 'role.linkHover',
    ...focusRing('bar'),
    ...iconBaseline('sign', '1.25em'),
    'sign/color': 'currentcolor',
    ...flatHeading('title'),
    'title/flexGrow': 1,
    'title/color': 'currentcolor',
    'title/fontWeight': 600,
    'title/lineHeight': 1.3,
    ...iconBaseline('arrow', '1.1em'),
    'arrow/color': 'currentcolor',
    'arrow/transitionDuration': '140ms',
    'arrow:selected/rotate': 180,
    'panel/display': 'flex',
    'panel/flexDirection': 'column',
    'panel/alignItems': 'stretch',
    'panel/rowGap': '1rem',
    ...sides('panel', 'padding', ['0px', '0px', '1.25rem', '0px']),
  }),
  content: {
    title: { type: 'plain', label: 'Title' },
    icon: { type: 'icon', label: 'Icon' },
  },
  sample: { title: 'What does it cost?', icon: null },
  begins: { title: 'Title', icon: null },
  markup: (content, context) => {
    const { holder = {}, index = () => 0, holderId = (name: string) => name } = context.item ?? {};
    const level = LEVELS.find(it => it === holder.level) ?? 3;
    const open = context.isOpen || holder.open === 'all' || (holder.open === 'first' && index() === 0);
    return h(
      'details',
      {
        part: 'entry',
        id: context.id(''),
        open: open ? true : null,
        name: holder.several === 'one' ? holderId('one') : null,
      },
      h(
        'summary',
        { part: 'bar' },
        iconOf('sign', content.icon, context),
        h(`h${level}`, { part: 'title' }, plain(content, 'title')),
        svg('arrow', ARROW),
      ),
      h('div', { part: 'panel' }, CHILDREN),
    );
  },
  summary: content => plain(content, 'title'),
  loose: content => [{ widget: 'heading', content: { text: plain(content, 'title'), level: 3 } }],
});
