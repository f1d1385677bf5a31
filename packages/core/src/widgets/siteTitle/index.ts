import { focusRing } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { siteTitleLooks } from './looks.ts';

const SHOWN = ['the logo, if there is one', 'the logo and the name', 'the name', 'nothing'] as const;

/** The name or the logo of the site, leading home; or its name for screen readers alone. */
export const siteTitle = element({
  name: 'siteTitle',
  label: 'Site title',
  family: 'navigation',
  about: 'Name or logo, leading home',
  words: 'logo brand name header',
  parts: {
    link: { label: 'Title', kind: 'heading', states: ['hover', 'focus', 'selected'] },
    logo: { label: 'Logo', kind: 'picture', inside: 'link' },
  },
  axes: ['look'],
  looks: siteTitleLooks,
  holds: null,
  program: programStyles({
    'link/display': 'inline-flex',
    'link/alignItems': 'center',
    'link/columnGap': '0.75rem',
    'link/color': 'role.heading',
    'link/textDecorationLine': 'none',
    'link/cursor': 'pointer',
    'link/fontWeight': 700,
    'link/fontSize': '1.25em',
    ...focusRing('link'),
    'logo/display': 'block',
    'logo/height': '2.5rem',
    'logo/width': 'auto',
    'logo/maxWidth': '12rem',
    'logo/objectFit': 'contain',
    'logo/objectPosition': 'left',
  }),
  css: [
    ':where(.siteTitle-link>[data-unseen]){position:absolute;inline-size:1px;block-size:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}',
  ],
  content: { shows: { type: 'choice', label: 'Shows', options: SHOWN } },
  sample: { shows: SHOWN[0] },
  begins: { shows: SHOWN[0] },
  markup: ({ shows }, context) => {
    const { siteName, homeHref } = context;
    // What nobody sees is no stop for keys.
    if (shows === 'nothing') return h('span', { part: 'link' }, h('span', { 'data-unseen': true }, siteName));
    const logo = shows === 'the name' ? null : context.logo;
    const named = logo === null || shows === 'the logo and the name';
    return h(
      'a',
      { part: 'link', href: homeHref },
      logo &&
        h('img', {
          part: 'logo',
          src: context.assetUrl(logo),
          width: logo.width,
          height: logo.height,
          alt: named ? '' : siteName,
        }),
      named && siteName,
    );
  },
});
