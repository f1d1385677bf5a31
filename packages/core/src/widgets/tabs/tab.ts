import { richText } from '../../content/index.ts';
import { focusRing, iconBaseline, sides } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { CHILDREN, h } from '../kit/markup.ts';

/** One tab and its panel, which stand apart: the tabs in a row, the panels below or beside it. */
export const tab = element({
  name: 'tab',
  label: 'Tab',
  family: 'turns',
  parts: {
    tab: {
      label: 'Tab',
      kind: 'label',
      placedIn: 'row',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
    sign: { label: 'Icon', kind: 'icon', inside: 'tab' },
    title: { label: 'Title', kind: 'label', inside: 'tab', shows: 'title' },
    panel: { label: 'Panel', kind: 'box', host: 'panel' },
  },
  axes: ['look'],
  holds: 'panel',
  onlyIn: ['tabs'],
  closes: true,
  holdsAtFirst: [{ widget: 'text' }],
  sampleHolds: [{ widget: 'text', content: { text: richText('What belongs to it, in a sentence or two.') } }],
  program: programStyles({
    'tab/display': 'flex',
    'tab/alignItems': 'center',
    'tab/columnGap': '0.5em',
    'tab/cursor': 'pointer',
    'tab/color': 'role.muted',
    'tab/fontWeight': 600,
    'tab/textDecorationLine': 'none',
    ...sides('tab', 'padding', ['0.625rem', '1rem', '0.625rem', '1rem']),
    'tab/borderBottomWidth': '2px',
    'tab/borderBottomStyle': 'solid',
    'tab/borderBottomColor': 'transparent',
    'tab/marginBottom': '-1px',
    'tab:hover/color': 'role.linkHover',
    'tab:selected/color': 'role.heading',
    'tab:selected/borderBottomColor': 'role.accent',
    ...focusRing('tab'),
    'tab:focus/outlineOffset': '-2px',
    ...iconBaseline('sign', '1.2em'),
    'sign/color': 'currentcolor',
    'title/display': 'inline',
    'panel/display': 'flex',
    'panel/flexDirection': 'column',
    'panel/alignItems': 'stretch',
    'panel/rowGap': '1rem',
    ...sides('panel', 'padding', ['1.25rem', '0px', '0px', '0px']),
  }),
  content: {
    title: { type: 'plain', label: 'Title' },
    icon: { type: 'icon', label: 'Icon' },
  },
  sample: { title: 'First tab', icon: null },
  begins: { title: 'Title', icon: null },
  views: {
    tab: (content, context) => {
      const chosen = isChosen(context);
      return h(
        'a',
        {
          part: 'tab',
          role: 'tab',
          id: context.id('tab'),
          href: `#${context.id('')}`,
          'aria-controls': context.id(''),
          'aria-selected': chosen ? 'true' : 'false',
        },
        iconOf('sign', content.icon, context),
        h('span', { part: 'title' }, plain(content, 'title')),
      );
    },
  },
  markup: (_, context) => {
    const chosen = isChosen(context);
    return h(
      'div',
      {
        role: 'tabpanel',
        id: context.id(''),
        'aria-labelledby': context.id('tab'),
        tabindex: chosen ? 0 : null,
        hidden: chosen ? null : 'until-found',
      },
      h('div', { part: 'panel' }, CHILDREN),
    );
  },
  summary: content => plain(content, 'title'),
  loose: content => [{ widget: 'heading', content: { text: plain(content, 'title'), level: 3 } }],
});

/** The first one shows at first; on the canvas, the one that is being edited. */
function isChosen({ item }: { item: { index(): number; openIndex(): number | null } | null }): boolean {
  return item !== null && item.index() === (item.openIndex() ?? 0);
}
