import { BARE_CONTROL, flatList, focusRing, iconBaseline } from '../kit/baseline.ts';
import { controlSign } from '../kit/controlSign.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { linkOf } from '../kit/link.ts';
import { CHILDREN, h, linkAttrs } from '../kit/markup.ts';
import { OPENED } from './opened.ts';

/** Where an entry stands in a navigation that shows pages too. */
export const ENTRY_PLACES = ['behind them', 'before them'] as const;

/**
 * One entry of a navigation: a page of the site, or what was put there; further entries can stand below it. The list of those
 * is a popover, which a guide shows where it stands, or in front of the page once its button is pressed.
 */
export const navigationEntry = element({
  name: 'navigationEntry',
  label: 'Navigation entry',
  family: 'navigation',
  parts: {
    item: { label: 'Item', kind: 'box' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'item',
      host: 'link',
      states: ['selected', 'hover', 'focus', 'pressed'],
    },
    sign: { label: 'Sign', kind: 'icon', inside: 'link', host: 'link' },
    word: { label: 'Word', kind: 'label', inside: 'link', host: 'link', shows: 'label' },
    more: {
      label: 'Button that opens the list below',
      kind: 'label',
      inside: 'item',
      host: 'more',
      states: ['selected', 'hover', 'focus', 'pressed'],
    },
    arrow: { label: 'Arrow', kind: 'icon', inside: 'more', host: 'more' },
    below: {
      label: 'List below',
      kind: 'box',
      inside: 'item',
      host: 'below',
      states: ['selected'],
      placed: 'opened',
    },
  },
  axes: ['look'],
  holds: 'below',
  accepts: ['navigationEntry'],
  onlyIn: ['navigation', 'navigationEntry'],
  closes: true,
  holderSample: { entries: 'entries' },
  sampleHolds: [],
  css: [OPENED('navigationEntry-below')],
  base: { 'button.more': BARE_CONTROL, 'ul.below': BARE_CONTROL },
  program: programStyles({
    'item/display': 'block',
    'link/display': 'inline-flex',
    'link/alignItems': 'center',
    'link/columnGap': '0.5em',
    'link/color': 'role.text',
    'link/textDecorationLine': 'none',
    'link/cursor': 'pointer',
    'link:hover/color': 'role.linkHover',
    'link:hover/textDecorationLine': 'underline',
    'link:selected/color': 'role.currentLink',
    ...focusRing('link'),
    ...iconBaseline('sign', '1.25em'),
    'sign/display': 'none',
    'sign/color': 'currentcolor',
    'word/display': 'inline',
    'more/display': 'none',
    'more/alignItems': 'center',
    'more/justifyContent': 'center',
    'more/width': '2rem',
    'more/height': '2rem',
    'more/cursor': 'pointer',
    'more/color': 'role.text',
    'more:hover/color': 'role.linkHover',
    ...focusRing('more'),
    ...iconBaseline('arrow', '1em'),
    'arrow/color': 'currentcolor',
    'arrow:selected/rotate': 180,
    ...flatList('below'),
    'below/flexDirection': 'column',
    'below/alignItems': 'start',
    'below/rowGap': '0.25rem',
    'below/marginTop': '0.25rem',
    'below/paddingLeft': '1rem',
  }),
  content: {
    label: { type: 'plain', label: 'Label' },
    link: { type: 'link', label: 'Link' },
    icon: { type: 'icon', label: 'Sign' },
    place: { type: 'choice', label: 'Among the pages', options: ENTRY_PLACES },
  },
  sample: { label: 'Contact', link: null, icon: null, place: 'behind them' },
  begins: { label: 'Entry', place: 'behind them' },
  markup: (content, context) => {
    const link = linkOf(content, 'link');
    const label = plain(content, 'label');
    const below = context.id('below');
    return h(
      'li',
      { part: 'item' },
      h(
        'a',
        {
          part: 'link',
          ...(link && linkAttrs(link, context)),
          ...(link && context.isAbove(link) && { 'aria-current': 'true' }),
        },
        iconOf('sign', content.icon, context),
        h('span', { part: 'word' }, label),
      ),
      context.holdsAny &&
        h(
          'button',
          {
            part: 'more',
            type: 'button',
            popovertarget: below,
            'aria-label': context.phrase('pagesBelow').replace('{page}', label),
          },
          controlSign('arrow', 'below', null, context),
        ),
      context.holdsAny &&
        h(
          'ul',
          { part: 'below', id: below, popover: 'auto', 'data-opens': context.isOpen ? true : null },
          CHILDREN,
        ),
    );
  },
  summary: content => plain(content, 'label'),
  loose: ({ label = '', link = null }) => [{ widget: 'button', content: { label, link } }],
});
