import { focusRing } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { siteTitleLooks } from './looks.ts';

export const siteTitle = element({
  name: 'siteTitle',
  label: 'Site title',
  family: 'navigation',
  about: 'The name, leading home',
  words: 'logo brand name header',
  parts: { link: { label: 'Title', kind: 'heading', states: ['hover', 'focus', 'selected'] } },
  axes: ['look'],
  looks: siteTitleLooks,
  holds: null,
  program: programStyles({
    'link/color': 'role.heading',
    'link/textDecorationLine': 'none',
    'link/cursor': 'pointer',
    'link/fontWeight': 700,
    'link/fontSize': '1.25em',
    ...focusRing('link'),
  }),
  content: {},
  sample: {},
  begins: {},
  markup: (_, context) => h('a', { part: 'link', href: context.homeHref }, context.siteName),
});
