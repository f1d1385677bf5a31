import { richText } from '../../content/index.ts';
import { flatFigure } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { treated, treatedBase, treatedParts, treatedProgram } from '../kit/treated.ts';
import { image } from '../picture/index.ts';
import { pictureTextLooks } from './looks.ts';

/** A picture and whatever belongs to it, on twelve columns: side by side, overlapping, or the one behind the other. */
export const pictureText = element({
  name: 'pictureText',
  label: 'Picture and text',
  family: 'picture',
  about: 'Side by side or overlapping',
  words: 'image text beside media hero split',
  parts: {
    pair: { label: 'Picture and text', kind: 'box' },
    frame: { label: 'Frame', kind: 'box', inside: 'pair' },
    picture: { label: 'Picture', kind: 'picture', inside: 'frame' },
    ...treatedParts('frame'),
    words: { label: 'Words', kind: 'box', inside: 'pair' },
  },
  axes: ['look'],
  looks: pictureTextLooks,
  holds: 'words',
  holdsAtFirst: [{ widget: 'heading' }, { widget: 'text' }],
  sampleHolds: [
    { widget: 'heading', content: { text: 'What it shows' } },
    { widget: 'text', content: { text: richText('What belongs to it, in a sentence or two.') } },
  ],
  base: treatedBase,
  program: programStyles({
    ...treatedProgram,
    'pair/display': 'grid',
    'pair/gridColumns': 12,
    'pair/columnGap': '2rem',
    // Eleven gaps have to find room beside each other.
    'pair@narrow/columnGap': '0.5rem',
    'pair/rowGap': '1.5rem',
    'pair/alignItems': 'center',
    ...flatFigure('frame'),
    'frame/columnSpan': 6,
    'frame@narrow/columnSpan': 12,
    'picture/display': 'block',
    'picture/overflowX': 'clip',
    'picture/width': '100%',
    'picture/height': 'auto',
    'picture/aspectRatio': 1.5,
    'picture/objectFit': 'cover',
    'picture/backgroundColor': 'role.raised',
    'words/display': 'flex',
    'words/flexDirection': 'column',
    'words/alignItems': 'start',
    'words/rowGap': '0.75rem',
    'words/columnSpan': 6,
    'words@narrow/columnSpan': 12,
  }),
  content: {
    asset: { type: 'asset', label: 'Picture' },
    alt: { type: 'plain', label: 'Alt text' },
  },
  sample: { asset: null, alt: 'A picture' },
  begins: { asset: null, alt: '' },
  markup: (content, context) =>
    h(
      'div',
      { part: 'pair' },
      h('figure', { part: 'frame' }, treated(image(content.asset, plain(content, 'alt'), context), context)),
      h('div', { part: 'words' }, CHILDREN),
    ),
  summary: content => plain(content, 'alt'),
});
