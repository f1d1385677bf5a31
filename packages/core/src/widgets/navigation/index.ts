import { BARE_CONTROL, flatList, focusRing, iconBaseline, sides } from '../kit/baseline.ts';
import { controlSign } from '../kit/controlSign.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h, type MadeItem, type MarkupContext } from '../kit/markup.ts';
import { source } from './behaviour.source.ts';
import { navigationLooks } from './looks.ts';
import { OPENED } from './opened.ts';

const DEPTHS = [1, 2, 3] as const;
const ENTRIES = ['pages, then entries', 'entries'] as const;

/**
 * The pages of the site as they are now with entries before and behind them, or entries alone. How it is arranged is the
 * guide’s to say, of wide windows and of narrow ones: the markup is the same, and opens without any script.
 */
export const navigation = element({
  name: 'navigation',
  label: 'Navigation',
  family: 'navigation',
  about: 'The pages of the site',
  words: 'menu links header pages',
  parts: {
    box: { label: 'Box', kind: 'box' },
    opener: {
      label: 'Button that opens it',
      kind: 'label',
      inside: 'box',
      host: 'opener',
      states: ['selected', 'hover', 'focus', 'pressed'],
    },
    openerSign: { label: 'Sign on the button', kind: 'icon', inside: 'opener', host: 'opener' },
    openerWord: {
      label: 'Word on the button',
      kind: 'label',
      inside: 'opener',
      host: 'opener',
      shows: 'word',
    },
    panel: {
      label: 'Panel',
      kind: 'box',
      inside: 'box',
      host: 'panel',
      states: ['selected'],
      placed: 'opened',
    },
    close: {
      label: 'Button that closes it',
      kind: 'label',
      inside: 'panel',
      host: 'close',
      states: ['hover', 'focus', 'pressed'],
    },
    cross: { label: 'Sign for closing', kind: 'icon', inside: 'close', host: 'close' },
    list: { label: 'List', kind: 'box', inside: 'panel' },
  },
  axes: ['arrangement', 'narrow arrangement', 'look'],
  looks: navigationLooks,
  holds: 'list',
  accepts: ['navigationEntry'],
  closes: true,
  sampleHolds: [],
  behaviour: source,
  needsBehaviour: (_, says) =>
    says('opener', 'display').some(it => it !== 'none') || says('more', 'display').some(it => it !== 'none'),
  css: [
    OPENED('navigation-panel'),
    '@media print{:where(.navigation-opener,.navigation-close){display:none!important}}',
  ],
  base: { 'button.opener': BARE_CONTROL, 'button.close': BARE_CONTROL, 'div.panel': BARE_CONTROL },
  program: programStyles({
    'box/display': 'block',
    'opener/display': 'none',
    'opener/alignItems': 'center',
    'opener/columnGap': '0.5em',
    'opener/cursor': 'pointer',
    'opener/color': 'role.text',
    ...sides('opener', 'padding', ['0.5rem', '0.75rem', '0.5rem', '0.75rem']),
    'opener:hover/color': 'role.linkHover',
    ...focusRing('opener'),
    ...iconBaseline('openerSign', '1.5em'),
    'openerSign/color': 'currentcolor',
    'openerWord/display': 'inline',
    'panel/display': 'block',
    'close/display': 'none',
    'close/alignItems': 'center',
    'close/justifyContent': 'center',
    'close/width': '2.75rem',
    'close/height': '2.75rem',
    'close/marginLeft': 'auto',
    'close/cursor': 'pointer',
    'close/color': 'role.text',
    'close:hover/color': 'role.linkHover',
    ...focusRing('close'),
    ...iconBaseline('cross', '1.5rem'),
    'cross/color': 'currentcolor',
    ...flatList('list'),
    'list/flexDirection': 'row',
    'list/flexWrap': 'wrap',
    'list/rowGap': '0.25rem',
    'list/columnGap': '1.5rem',
  }),
  content: {
    label: { type: 'plain', label: 'Name for screen readers' },
    word: { type: 'plain', label: 'Word on the button' },
    entries: { type: 'choice', label: 'Entries', options: ENTRIES },
    depth: { type: 'choice', label: 'Levels of pages', options: DEPTHS },
  },
  sample: { label: 'Main', word: 'Menu', entries: 'pages, then entries', depth: 1 },
  begins: { label: '', word: '', entries: 'pages, then entries', depth: 1 },
  markup: (content, context) => {
    const depth = DEPTHS.find(it => it === content.depth) ?? 1;
    const pages = content.entries === 'entries' ? [] : pageEntries(context, null, depth);
    const panel = context.id('panel');
    const label = plain(content, 'label') || context.phrase('mainNavigation');
    const word = plain(content, 'word');
    return h(
      'nav',
      { part: 'box', 'aria-label': label },
      h(
        'button',
        {
          part: 'opener',
          type: 'button',
          popovertarget: panel,
          'aria-label': word === '' ? context.phrase('menu') : null,
        },
        controlSign('openerSign', 'menu', null, context),
        word !== '' && h('span', { part: 'openerWord' }, word),
      ),
      h(
        'div',
        { part: 'panel', id: panel, popover: 'auto', 'data-opens': context.isOpen ? true : null },
        h(
          'button',
          {
            part: 'close',
            type: 'button',
            popovertarget: panel,
            popovertargetaction: 'hide',
            'aria-label': context.phrase('close'),
          },
          controlSign('cross', 'close', null, context),
        ),
        pages.length === 0
          ? h('ul', { part: 'list' }, CHILDREN)
          : h('ul', { part: 'list' }, { where: ({ place }) => place === 'before them' }, ...pages, {
              where: ({ place }) => place !== 'before them',
            }),
      ),
    );
  },
});

/** An entry for each page, with those of the pages below it while there are levels left. */
function pageEntries(context: MarkupContext, below: string | null, levels: number): MadeItem[] {
  if (levels === 0) return [];
  return context.pages({ below }, 'names').map(({ id, title, icon }) => ({
    item: 'navigationEntry',
    key: id,
    content: { label: title, link: { type: 'page', page: id }, icon },
    holds: pageEntries(context, id, levels - 1),
  }));
}
