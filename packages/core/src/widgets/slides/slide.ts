import {
  BARE_CONTROL,
  bareLink,
  cardTitle,
  flatFigure,
  flatParagraph,
  focusRing,
  linkStates,
} from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { linkOf } from '../kit/link.ts';
import { round } from '../kit/looks.ts';
import { h, linkAttrs } from '../kit/markup.ts';
import { sized } from '../kit/sized.ts';
import { treated, treatedBase, treatedParts, treatedProgram } from '../kit/treated.ts';
import { image } from '../picture/index.ts';

const LEVELS = [2, 3, 4, 5, 6] as const;

/** One of several that share a view: a picture, with words beside, below or over it, and a way on. */
export const slide = element({
  name: 'slide',
  label: 'Slide',
  family: 'turns',
  parts: {
    slide: { label: 'Slide', kind: 'box', states: ['alternate'] },
    frame: { label: 'Frame', kind: 'box', inside: 'slide' },
    picture: { label: 'Picture', kind: 'picture', inside: 'frame' },
    ...treatedParts('frame'),
    words: { label: 'Words', kind: 'box', inside: 'frame' },
    title: { label: 'Title', kind: 'heading', inside: 'words', shows: 'title' },
    caption: { label: 'Caption', kind: 'text', as: 'caption', inside: 'words', shows: 'caption' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'words',
      shows: 'linkLabel',
      host: 'link',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
    dot: {
      label: 'Dot',
      kind: 'label',
      placedIn: 'dots',
      host: 'dot',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
    thumb: { label: 'Small picture', kind: 'picture', inside: 'dot', host: 'dot' },
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['slides'],
  css: [':where(.slide-slide){scroll-snap-align:start;min-inline-size:0}'],
  base: { 'a.dot': BARE_CONTROL, ...treatedBase },
  program: programStyles({
    ...treatedProgram,
    'slide/display': 'block',
    ...flatFigure('frame'),
    'frame/display': 'flex',
    'frame/flexDirection': 'column',
    'frame/rowGap': '0.75rem',
    'frame/columnGap': '2rem',
    'frame/height': '100%',
    'picture/display': 'block',
    'picture/overflowX': 'clip',
    'picture/width': '100%',
    'picture/height': 'auto',
    'picture/aspectRatio': 1.6,
    'picture/objectFit': 'cover',
    'picture/backgroundColor': 'role.raised',
    'words/display': 'flex',
    'words/flexDirection': 'column',
    'words/alignItems': 'start',
    'words/rowGap': '0.375rem',
    ...cardTitle('title'),
    ...flatParagraph('caption'),
    'caption/color': 'role.muted',
    ...bareLink('link'),
    ...linkStates('link'),
    'dot/display': 'block',
    'dot/width': '1.5rem',
    'dot/height': '1.5rem',
    'dot/cursor': 'pointer',
    'dot/paddingTop': '0.4375rem',
    'dot/paddingRight': '0.4375rem',
    'dot/paddingBottom': '0.4375rem',
    'dot/paddingLeft': '0.4375rem',
    ...focusRing('dot'),
    'thumb/display': 'block',
    'thumb/width': '100%',
    'thumb/height': '100%',
    'thumb/objectFit': 'cover',
    'thumb/overflowX': 'clip',
    'thumb/backgroundColor': 'role.muted',
    'thumb:hover/backgroundColor': 'role.linkHover',
    'thumb:selected/backgroundColor': 'role.accent',
    ...round('thumb'),
  }),
  content: {
    asset: { type: 'asset', label: 'Picture' },
    alt: { type: 'plain', label: 'Alt text' },
    title: { type: 'plain', label: 'Title' },
    caption: { type: 'plain', label: 'Caption', long: true },
    link: { type: 'link', label: 'Link' },
    linkLabel: { type: 'plain', label: 'Link text' },
  },
  sample: {
    asset: null,
    alt: 'A picture',
    title: 'The title of a slide',
    caption: 'What it shows, in a sentence.',
    link: { type: 'url', href: 'https://domain.example/' },
    linkLabel: 'Read more',
  },
  begins: { asset: null, alt: '', title: '', caption: '', linkLabel: '' },
  views: {
    dot: (content, context) => {
      const { index = () => 0, holder = {} } = context.item ?? {};
      const small =
        holder.dots === 'pictures' && typeof content.asset === 'string' ? context.asset(content.asset) : null;
      return h(
        'a',
        {
          part: 'dot',
          href: `#${context.id('')}`,
          'aria-label': plain(content, 'title') || plain(content, 'caption') || String(index() + 1),
          'aria-current': index() === 0 ? 'true' : null,
        },
        small ? sized(small, 'thumb', '', context) : h('span', { part: 'thumb' }),
      );
    },
  },
  markup: (content, context) => {
    const level = LEVELS.find(it => it === context.item?.holder.level) ?? 3;
    const link = linkOf(content, 'link');
    const attrs = link ? linkAttrs(link, context) : null;
    const title = plain(content, 'title');
    const caption = plain(content, 'caption');
    const leads = attrs?.href != null && plain(content, 'linkLabel') !== '';
    return h(
      'li',
      { part: 'slide', id: context.id('') },
      h(
        'div',
        { part: 'frame' },
        treated(image(content.asset, plain(content, 'alt'), context), context),
        (title !== '' || caption !== '' || leads) &&
          h(
            'div',
            { part: 'words' },
            title !== '' && h(`h${level}`, { part: 'title' }, title),
            caption !== '' && h('p', { part: 'caption' }, caption),
            leads && h('a', { part: 'link', ...attrs }, plain(content, 'linkLabel')),
          ),
      ),
    );
  },
  summary: content => plain(content, 'title') || plain(content, 'caption') || plain(content, 'alt'),
  loose: ({ asset = null, alt = '', title = '', caption = '' }) => [
    ...(title === '' ? [] : [{ widget: 'heading', content: { text: title, level: 3 } }]),
    { widget: 'picture', content: { asset, alt, caption } },
  ],
});
