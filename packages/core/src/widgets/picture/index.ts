import { flatFigure } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h, type MarkupContext, type VNode } from '../kit/markup.ts';
import { sized } from '../kit/sized.ts';
import { treated, treatedBase, treatedParts, treatedProgram } from '../kit/treated.ts';
import { pictureLooks } from './looks.ts';

/** An `img` with its dimensions; a plain drawn ground where no picture is chosen, so that the layout holds. */
export function image(assetId: unknown, alt: string, context: MarkupContext): VNode {
  const asset = typeof assetId === 'string' ? context.asset(assetId) : null;
  if (!asset) return h('div', { part: 'picture', role: alt ? 'img' : null, 'aria-label': alt || null });
  return sized(asset, 'picture', alt || asset.alt, context);
}

export const picture = element({
  name: 'picture',
  label: 'Picture',
  family: 'picture',
  about: 'One, with a caption',
  words: 'image photo figure drawing',
  parts: {
    box: { label: 'Frame', kind: 'box', states: ['hover'], byTouch: true },
    picture: { label: 'Picture', kind: 'picture', inside: 'box' },
    ...treatedParts('box'),
    caption: { label: 'Caption', kind: 'text', as: 'caption', inside: 'box', shows: 'caption' },
  },
  axes: ['frame', 'position'],
  looks: pictureLooks,
  longFormAxes: ['position'],
  holds: null,
  base: treatedBase,
  program: programStyles({
    ...treatedProgram,
    ...flatFigure('box'),
    'picture/display': 'block',
    'picture/overflowX': 'clip',
    'picture/width': '100%',
    'picture/height': 'auto',
    'picture/aspectRatio': 1.6,
    'picture/objectFit': 'cover',
    'picture/backgroundColor': 'role.raised',
    'caption/display': 'block',
    'caption/color': 'role.muted',
    'caption/marginTop': '0.5rem',
    'caption/fontSize': '0.875em',
  }),
  content: {
    asset: { type: 'asset', label: 'Picture' },
    alt: { type: 'plain', label: 'Alt text' },
    caption: { type: 'plain', label: 'Caption' },
  },
  sample: { asset: null, alt: 'A picture', caption: 'A caption for the picture' },
  begins: { asset: null, alt: '', caption: '' },
  markup: (content, context) =>
    h(
      'figure',
      // What it shows under a pointer, it shows to keys.
      { part: 'box', tabindex: context.responds ? 0 : null },
      treated(image(content.asset, plain(content, 'alt'), context), context),
      plain(content, 'caption') !== '' && h('figcaption', { part: 'caption' }, plain(content, 'caption')),
    ),
  summary: content => plain(content, 'caption') || plain(content, 'alt'),
});
