import { flatList, focusRing } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { linkOf } from '../kit/link.ts';
import { CHILDREN, h, linkAttrs } from '../kit/markup.ts';

/** Where an entry stands in a navigation that shows pages too. */
export const ENTRY_PLACES = ['behind them', 'before them'] as const;

/** One entry of a navigation: a page of the site, or what was put there; further entries can stand below it. */
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
      shows: 'label',
      states: ['selected', 'hover', 'focus', 'pressed'],
    },
    below: { label: 'List below', kind: 'box', inside: 'item' },
  },
  axes: ['look'],
  holds: 'below',
  accepts: ['navigationEntry'],
  onlyIn: ['navigation', 'navigationEntry'],
  holderSample: { entries: 'entries' },
  sampleHolds: [],
  program: programStyles({
    'item/display': 'block',
    'link/display': 'inline',
    'link/color': 'role.text',
    'link/textDecorationLine': 'none',
    'link/cursor': 'pointer',
    'link:hover/color': 'role.linkHover',
    'link:hover/textDecorationLine': 'underline',
    'link:selected/color': 'role.currentLink',
    ...focusRing('link'),
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
    place: { type: 'choice', label: 'Among the pages', options: ENTRY_PLACES },
  },
  sample: { label: 'Contact', link: null, place: 'behind them' },
  begins: { label: 'Entry', place: 'behind them' },
  markup: (content, context) => {
    const link = linkOf(content, 'link');
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
        plain(content, 'label'),
      ),
      context.holdsAny && h('ul', { part: 'below' }, CHILDREN),
    );
  },
  summary: content => plain(content, 'label'),
  loose: ({ label = '', link = null }) => [{ widget: 'button', content: { label, link } }],
});
