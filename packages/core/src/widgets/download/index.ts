import { flatParagraph, focusRing, iconBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { linkOf } from '../kit/link.ts';
import { h, linkAttrs } from '../kit/markup.ts';
import { downloadLooks } from './looks.ts';

/** A file of the site that visitors take home, what it is called, and what they get. */
export const download = element({
  name: 'download',
  label: 'Download',
  family: 'action',
  about: 'A file to take home',
  words: 'file pdf attachment document form save leaflet',
  parts: {
    box: { label: 'Box', kind: 'box' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'box',
      host: 'link',
      states: ['hover', 'focus', 'pressed'],
    },
    sign: { label: 'Sign', kind: 'icon', inside: 'link', host: 'link' },
    name: { label: 'Name', kind: 'label', inside: 'link', host: 'link', shows: 'label' },
    note: { label: 'Note', kind: 'text', inside: 'box', shows: 'note' },
  },
  axes: ['look'],
  looks: downloadLooks,
  holds: null,
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'column',
    'box/alignItems': 'start',
    'box/rowGap': '0.25rem',
    'box/columnGap': '1rem',
    'link/display': 'inline-flex',
    'link/alignItems': 'center',
    'link/columnGap': '0.5em',
    'link/cursor': 'pointer',
    'link/color': 'role.link',
    'link/textDecorationLine': 'underline',
    'link:hover/color': 'role.linkHover',
    ...focusRing('link'),
    ...iconBaseline('sign', '1.25em'),
    'sign/color': 'currentcolor',
    'name/display': 'inline',
    ...flatParagraph('note'),
    'note/color': 'role.muted',
    'note/fontSize': '0.875em',
  }),
  content: {
    label: { type: 'plain', label: 'Name' },
    link: { type: 'link', label: 'File' },
    note: { type: 'plain', label: 'Note' },
    icon: { type: 'icon', label: 'Sign' },
  },
  sample: {
    label: 'The timetable as a leaflet',
    link: { type: 'url', href: 'https://domain.example/' },
    note: 'PDF, two pages',
    icon: 'download',
  },
  begins: { label: 'Name of the file', note: '', icon: 'download' },
  markup: (content, context) => {
    const link = linkOf(content, 'link');
    return h(
      'div',
      { part: 'box' },
      h(
        'a',
        { part: 'link', ...(link && linkAttrs(link, context)) },
        iconOf('sign', content.icon, context),
        h('span', { part: 'name' }, plain(content, 'label')),
      ),
      plain(content, 'note') !== '' && h('p', { part: 'note' }, plain(content, 'note')),
    );
  },
  summary: content => plain(content, 'label'),
});
