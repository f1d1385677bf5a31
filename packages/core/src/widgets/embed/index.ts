import { bareLink, coverPicture, flatFigure, flatParagraph, focusRing } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { linkOf } from '../kit/link.ts';
import { h, linkAttrs } from '../kit/markup.ts';
import { sized } from '../kit/sized.ts';
import { source } from './behaviour.source.ts';
import { embedLooks } from './looks.ts';

/** Only pages that cannot be read or altered on their way are shown within one’s own. */
const hostOf = (href: string): string | null =>
  URL.canParse(href) && new URL(href).protocol === 'https:' ? new URL(href).host : null;

/** A page of others within the page, which is asked for only by whoever wants to see it. */
export const embed = element({
  name: 'embed',
  label: 'Embedded page',
  family: 'picture',
  about: 'Content of others, on request',
  words: 'iframe embed external map video player widget form calendar',
  parts: {
    box: { label: 'Frame', kind: 'box' },
    place: { label: 'Place', kind: 'box', inside: 'box' },
    picture: { label: 'Picture', kind: 'picture', inside: 'place' },
    words: { label: 'Words', kind: 'box', inside: 'place' },
    title: { label: 'Name', kind: 'label', inside: 'words', shows: 'title' },
    note: { label: 'Where it comes from', kind: 'text', inside: 'words' },
    button: {
      label: 'Button',
      kind: 'label',
      inside: 'words',
      host: 'button',
      states: ['hover', 'focus', 'pressed'],
    },
    caption: { label: 'Caption', kind: 'text', as: 'caption', inside: 'box', shows: 'caption' },
  },
  axes: ['look'],
  looks: embedLooks,
  holds: null,
  base: { place: 'contain:layout' },
  css: [':where(.embed-place)>iframe{position:absolute;inset:0;width:100%;height:100%;border:0}'],
  program: programStyles({
    ...flatFigure('box'),
    'place/display': 'flex',
    'place/flexDirection': 'column',
    'place/rowGap': '1rem',
    'place/columnGap': '1.5rem',
    'place/alignItems': 'center',
    'place/justifyContent': 'center',
    'place/minHeight': '18rem',
    'place/paddingTop': '1.5rem',
    'place/paddingRight': '1.5rem',
    'place/paddingBottom': '1.5rem',
    'place/paddingLeft': '1.5rem',
    'place/backgroundColor': 'role.raised',
    ...coverPicture('picture'),
    'words/display': 'flex',
    'words/flexDirection': 'column',
    'words/alignItems': 'center',
    'words/rowGap': '0.5rem',
    'title/display': 'block',
    'title/color': 'role.heading',
    'title/fontWeight': 700,
    ...flatParagraph('note'),
    'note/color': 'role.muted',
    'note/fontSize': '0.875em',
    ...bareLink('button'),
    'button/display': 'inline-block',
    'button:hover/color': 'role.linkHover',
    ...focusRing('button'),
    'caption/display': 'block',
    'caption/color': 'role.muted',
    'caption/marginTop': '0.5rem',
    'caption/fontSize': '0.875em',
  }),
  content: {
    link: { type: 'link', label: 'Address' },
    title: { type: 'plain', label: 'Name' },
    asset: { type: 'asset', label: 'Picture until it is shown' },
    caption: { type: 'plain', label: 'Caption' },
  },
  sample: {
    link: { type: 'url', href: 'https://domain.example/' },
    title: 'A page of somebody else',
    asset: null,
    caption: '',
  },
  begins: { title: 'Name of the page', asset: null, caption: '' },
  behaviour: source,
  needsBehaviour: content => {
    const link = linkOf(content, 'link');
    return link?.type === 'url' && hostOf(link.href) !== null;
  },
  markup: (content, context) => {
    const link = linkOf(content, 'link');
    const host = link?.type === 'url' ? hostOf(link.href) : null;
    const title = plain(content, 'title');
    const cover = typeof content.asset === 'string' ? context.asset(content.asset) : null;
    return h(
      'figure',
      { part: 'box' },
      h(
        'div',
        { part: 'place' },
        cover && sized(cover, 'picture', '', context),
        h(
          'div',
          { part: 'words' },
          title !== '' && h('span', { part: 'title' }, title),
          host !== null && h('p', { part: 'note' }, context.phrase('loadsFrom').replace('{host}', host)),
          // Without a script it leads to the page itself.
          link && h('a', { part: 'button', ...linkAttrs(link, context) }, context.phrase('showHere')),
        ),
      ),
      plain(content, 'caption') !== '' && h('figcaption', { part: 'caption' }, plain(content, 'caption')),
    );
  },
  summary: content => plain(content, 'title'),
});
