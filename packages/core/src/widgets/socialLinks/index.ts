import { flatList } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { socialLinksLooks } from './looks.ts';

/** Where else people can be found, each place with a sign, a name, or both. */
export const socialLinks = element({
  name: 'socialLinks',
  label: 'Social links',
  family: 'navigation',
  about: 'Where else to find you',
  words: 'networks follow profiles share icons',
  parts: { links: { label: 'Links', kind: 'box' } },
  axes: ['look'],
  looks: socialLinksLooks,
  holds: 'links',
  accepts: ['socialLink'],
  holdsAtFirst: [{ widget: 'socialLink' }, { widget: 'socialLink' }],
  sampleHolds: [
    { widget: 'socialLink', content: { name: 'Pictures', icon: 'camera' } },
    { widget: 'socialLink', content: { name: 'Films', icon: 'play' } },
    { widget: 'socialLink', content: { name: 'Letters', icon: 'mail' } },
  ],
  program: programStyles({
    ...flatList('links'),
    'links/flexWrap': 'wrap',
    'links/columnGap': '1.25rem',
    'links/rowGap': '0.75rem',
  }),
  content: { label: { type: 'plain', label: 'Name for screen readers' } },
  sample: { label: '' },
  begins: { label: '' },
  markup: content => h('ul', { part: 'links', 'aria-label': plain(content, 'label') || null }, CHILDREN),
  summary: content => plain(content, 'label'),
});
