import { BARE_CONTROL, flatList, focusRing, iconBaseline } from '../kit/baseline.ts';
import { controlSign, mirrored } from '../kit/controlSign.ts';
import { element, programStyles } from '../kit/element.ts';
import { round } from '../kit/looks.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { source } from './behaviour.source.ts';
import { galleryLooks } from './looks.ts';

/** What stands in the large view until a picture is opened. */
const NOTHING = "data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg'/%3E";

/** Pictures seen at a glance, in cells or in rows that keep their order; each opens large, one after the other. */
export const gallery = element({
  name: 'gallery',
  label: 'Gallery',
  family: 'picture',
  about: 'Many at a glance',
  words: 'images photos grid masonry lightbox portfolio album',
  parts: {
    gallery: { label: 'Gallery', kind: 'box' },
    pictures: { label: 'Pictures', kind: 'box', inside: 'gallery' },
    large: { label: 'Large view', kind: 'box', inside: 'gallery', placed: true },
    largePicture: { label: 'Picture in the large view', kind: 'picture', inside: 'large' },
    largeCaption: { label: 'Caption in the large view', kind: 'text', inside: 'large' },
    bar: { label: 'Controls of the large view', kind: 'box', inside: 'large' },
    control: {
      label: 'Control',
      kind: 'label',
      inside: 'bar',
      host: 'control',
      states: ['hover', 'focus', 'pressed', 'disabled'],
    },
    sign: { label: 'Sign of a control', kind: 'icon', inside: 'control', host: 'control' },
    count: { label: 'Number of the picture', kind: 'label', inside: 'bar' },
  },
  axes: ['look'],
  looks: galleryLooks,
  holds: 'pictures',
  accepts: ['galleryPicture'],
  holdsAtFirst: Array.from({ length: 3 }, () => ({ widget: 'galleryPicture' })),
  sampleHolds: [
    { widget: 'galleryPicture', content: { caption: 'The first caption' } },
    { widget: 'galleryPicture', content: { caption: '' } },
    { widget: 'galleryPicture', content: { caption: 'Another caption' } },
    { widget: 'galleryPicture', content: { caption: '' } },
  ],
  behaviour: source,
  needsBehaviour: content => content.large !== 'no',
  css: [
    // While it is styled it stands below the pictures rather than over all else.
    ':where(.gallery-large:modal){position:fixed;inset:0;inline-size:100%;block-size:100%;margin:0!important;overflow:auto}',
    ':where(.gallery-large:not([open])){display:none!important}',
    ':where(.gallery-large:modal .gallery-largePicture){flex:1 1 0;min-block-size:0}',
    ':where(.gallery-largeCaption[hidden]){display:none!important}',
    mirrored('gallery-sign'),
  ],
  base: { 'button.control': BARE_CONTROL, 'dialog.large': BARE_CONTROL },
  program: programStyles({
    'gallery/display': 'block',
    ...flatList('pictures'),
    'pictures/display': 'grid',
    'pictures/gridColumns': 3,
    'pictures/columnGap': '1rem',
    'pictures/rowGap': '1rem',
    'pictures@medium/gridColumns': 2,
    'pictures@narrow/gridColumns': 1,
    'large/display': 'flex',
    'large/marginTop': '1rem',
    'large/flexDirection': 'column',
    'large/rowGap': '0.75rem',
    'large/alignItems': 'center',
    'large/backgroundColor': 'role.surface',
    'large/color': 'role.text',
    'large/paddingTop': '1rem',
    'large/paddingRight': '1rem',
    'large/paddingBottom': '1rem',
    'large/paddingLeft': '1rem',
    'largePicture/display': 'block',
    'largePicture/overflowX': 'clip',
    'largePicture/aspectRatio': 'auto',
    'largePicture/width': '100%',
    'largePicture/maxWidth': '100%',
    'largePicture/height': 'auto',
    'largePicture/objectFit': 'contain',
    'largeCaption/display': 'block',
    'largeCaption/marginTop': 0,
    'largeCaption/marginBottom': 0,
    'bar/display': 'flex',
    'bar/alignItems': 'center',
    'bar/justifyContent': 'center',
    'bar/columnGap': '0.75rem',
    'control/display': 'flex',
    'control/alignItems': 'center',
    'control/justifyContent': 'center',
    'control/width': '2.75rem',
    'control/height': '2.75rem',
    'control/cursor': 'pointer',
    'control/color': 'role.text',
    'control/backgroundColor': 'role.raised',
    ...round('control'),
    'control:hover/color': 'role.linkHover',
    ...focusRing('control'),
    ...iconBaseline('sign', '1.25rem'),
    'sign/color': 'currentcolor',
    'count/display': 'inline',
    'count/fontSize': '0.875em',
  }),
  content: {
    large: { type: 'choice', label: 'Large view', options: ['yes', 'no'] },
    before: { type: 'icon', label: 'Sign for the one before' },
    after: { type: 'icon', label: 'Sign for the next one' },
    close: { type: 'icon', label: 'Sign for closing' },
  },
  sample: { large: 'yes', before: null, after: null, close: null },
  begins: { large: 'yes', before: null, after: null, close: null },
  markup: (content, context) => {
    const control = (does: 'before' | 'after' | 'close', name: string) =>
      h(
        'button',
        { part: 'control', type: 'button', 'data-does': does, 'aria-label': name },
        controlSign('sign', does, content[does], context),
      );
    return h(
      'div',
      { part: 'gallery' },
      h('ul', { part: 'pictures' }, CHILDREN),
      content.large !== 'no' &&
        h(
          'dialog',
          {
            part: 'large',
            'aria-label': context.phrase('largeView'),
            open: context.isOpen ? true : null,
          },
          h('img', { part: 'largePicture', src: NOTHING, width: 3, height: 2, alt: '' }),
          h('p', { part: 'largeCaption' }),
          h(
            'div',
            { part: 'bar' },
            control('before', context.phrase('previous')),
            h('span', { part: 'count', 'aria-live': 'polite' }),
            control('after', context.phrase('next')),
            control('close', context.phrase('close')),
          ),
        ),
    );
  },
});
