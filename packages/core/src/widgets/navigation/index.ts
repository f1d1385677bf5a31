import { flatList, focusRing } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';

export const navigation = element({
  name: 'navigation',
  label: 'Navigation',
  family: 'navigation',
  parts: {
    box: { label: 'Box', kind: 'box' },
    list: { label: 'List', kind: 'box', inside: 'box' },
    item: { label: 'Item', kind: 'box', inside: 'list' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'item',
      host: 'link',
      states: ['selected', 'hover', 'focus', 'pressed'],
    },
  },
  axes: ['look'],
  holds: null,
  program: programStyles({
    'box/display': 'block',
    ...flatList('list'),
    'list/flexDirection': 'row',
    'list/flexWrap': 'wrap',
    'list/rowGap': '0.25rem',
    'list/columnGap': '1.5rem',
    'item/display': 'block',
    'link/display': 'inline',
    'link/color': 'role.text',
    'link/textDecorationLine': 'none',
    'link/cursor': 'pointer',
    'link:hover/color': 'role.linkHover',
    'link:hover/textDecorationLine': 'underline',
    'link:selected/color': 'role.currentLink',
    ...focusRing('link'),
  }),
  content: { label: { type: 'plain', label: 'Name for screen readers' } },
  sample: { label: 'Main' },
  begins: { label: '' },
  markup: (content, context) =>
    h(
      'nav',
      { part: 'box', 'aria-label': plain(content, 'label') || context.phrase('mainNavigation') },
      h(
        'ul',
        { part: 'list' },
        ...context
          .pages({ below: null })
          .map(page =>
            h(
              'li',
              { part: 'item' },
              h(
                'a',
                { part: 'link', href: page.href, 'aria-current': page.current ? 'page' : null },
                page.title,
              ),
            ),
          ),
      ),
    ),
});
