import { BARE_CONTROL, flatFigure, focusRing } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { treated, treatedBase, treatedParts, treatedProgram } from '../kit/treated.ts';
import { image } from '../picture/index.ts';

/** One of several pictures, which opens large where its gallery has that. */
export const galleryPicture = element({
  name: 'galleryPicture',
  label: 'Picture in a gallery',
  family: 'picture',
  parts: {
    place: { label: 'Place', kind: 'box', states: ['alternate'] },
    frame: {
      label: 'Frame',
      kind: 'box',
      inside: 'place',
      host: 'frame',
      states: ['hover', 'focus', 'pressed'],
      byTouch: true,
      within: ['opener'],
    },
    opener: { label: 'Link to the large view', kind: 'box', inside: 'frame', host: 'frame' },
    picture: { label: 'Picture', kind: 'picture', inside: 'opener', host: 'frame' },
    ...treatedParts('opener', 'frame'),
    caption: {
      label: 'Caption',
      kind: 'text',
      as: 'caption',
      inside: 'frame',
      host: 'frame',
      shows: 'caption',
    },
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['gallery'],
  base: { 'a.opener': BARE_CONTROL, ...treatedBase },
  program: programStyles({
    ...treatedProgram,
    'place/display': 'block',
    ...flatFigure('frame'),
    'frame/display': 'flex',
    'frame/flexDirection': 'column',
    'frame/rowGap': '0.5rem',
    'opener/display': 'block',
    'opener/cursor': 'pointer',
    ...focusRing('opener'),
    'picture/display': 'block',
    'picture/overflowX': 'clip',
    'picture/width': '100%',
    'picture/height': 'auto',
    'picture/aspectRatio': 1.5,
    'picture/objectFit': 'cover',
    'picture/backgroundColor': 'role.raised',
    'caption/display': 'block',
    'caption/color': 'role.muted',
    'caption/fontSize': '0.875em',
  }),
  content: {
    asset: { type: 'asset', label: 'Picture' },
    alt: { type: 'plain', label: 'Alt text' },
    caption: { type: 'plain', label: 'Caption' },
  },
  sample: { asset: null, alt: 'A picture', caption: 'A caption' },
  begins: { asset: null, alt: '', caption: '' },
  markup: (content, context) => {
    const shown = treated(image(content.asset, plain(content, 'alt'), context), context);
    const asset = typeof content.asset === 'string' ? context.asset(content.asset) : null;
    const opens = context.item?.holder.large !== 'no' && asset !== null;
    return h(
      'li',
      { part: 'place' },
      h(
        'figure',
        { part: 'frame' },
        // Without a script it leads to the picture itself.
        opens
          ? h(
              'a',
              {
                part: 'opener',
                href: context.assetUrl(asset),
                'data-large': true,
                'aria-label':
                  (plain(content, 'alt') || asset.alt) === '' ? context.phrase('largeView') : null,
              },
              shown,
            )
          : h('span', { part: 'opener' }, shown),
        plain(content, 'caption') !== '' && h('figcaption', { part: 'caption' }, plain(content, 'caption')),
      ),
    );
  },
  summary: content => plain(content, 'caption') || plain(content, 'alt'),
  loose: ({ asset = null, alt = '', caption = '' }) => [
    { widget: 'picture', content: { asset, alt, caption } },
  ],
});
