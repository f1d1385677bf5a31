import { focusRing, iconBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { linkOf } from '../kit/link.ts';
import { h, linkAttrs } from '../kit/markup.ts';

/** A place elsewhere where the same people can be found. */
export const socialLink = element({
  name: 'socialLink',
  label: 'Social link',
  family: 'navigation',
  parts: {
    place: { label: 'Place', kind: 'box' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'place',
      host: 'link',
      states: ['hover', 'focus', 'pressed'],
    },
    sign: { label: 'Sign', kind: 'icon', inside: 'link', host: 'link' },
    name: { label: 'Name', kind: 'label', inside: 'link', host: 'link', shows: 'name' },
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['socialLinks'],
  program: programStyles({
    'place/display': 'block',
    'link/display': 'inline-flex',
    'link/alignItems': 'center',
    'link/columnGap': '0.5em',
    'link/rowGap': '0.25em',
    'link/color': 'role.link',
    'link/textDecorationLine': 'none',
    'link/cursor': 'pointer',
    'link:hover/color': 'role.linkHover',
    'link:hover/textDecorationLine': 'underline',
    ...focusRing('link'),
    ...iconBaseline('sign', '1.5em'),
    'sign/color': 'currentcolor',
    'name/display': 'inline',
  }),
  content: {
    name: { type: 'plain', label: 'Name' },
    link: { type: 'link', label: 'Link' },
    icon: { type: 'icon', label: 'Sign' },
  },
  sample: {
    name: 'Where we are',
    link: { type: 'url', href: 'https://domain.example/' },
    icon: 'people',
  },
  begins: { name: 'Name', icon: 'people' },
  markup: (content, context) => {
    const link = linkOf(content, 'link');
    const name = plain(content, 'name');
    return h(
      'li',
      { part: 'place' },
      h(
        'a',
        // Named where its words do not show.
        { part: 'link', ...(link && linkAttrs(link, context)), 'aria-label': name || null },
        iconOf('sign', content.icon, context),
        name !== '' && h('span', { part: 'name' }, name),
      ),
    );
  },
  summary: content => plain(content, 'name'),
  loose: ({ name = '', link = null }) => [{ widget: 'button', content: { label: name, link } }],
});
