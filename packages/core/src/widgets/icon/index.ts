import { corners, iconBaseline } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { h } from '../kit/markup.ts';
import { iconLooks } from './looks.ts';

/** An icon of the set, or one of the brand's own; the shape behind it is its box. */
export const icon = element({
  name: 'icon',
  label: 'Icon',
  family: 'picture',
  about: 'From the guide’s set',
  words: 'symbol sign mark pictogram logo',
  parts: {
    box: { label: 'Shape behind', kind: 'box' },
    icon: { label: 'Icon', kind: 'icon', inside: 'box' },
  },
  axes: ['size', 'shape'],
  looks: iconLooks,
  holds: null,
  program: programStyles({
    'box/display': 'inline-flex',
    'box/alignItems': 'center',
    'box/justifyContent': 'center',
    'box/width': 'fit-content',
    ...corners('box', '0px'),
    ...iconBaseline('icon', '1.75rem'),
  }),
  content: {
    icon: { type: 'icon', label: 'Icon' },
    alt: { type: 'plain', label: 'Name for screen readers' },
  },
  sample: { icon: 'anchor', alt: '' },
  begins: { icon: 'info', alt: '' },
  markup: (content, context) =>
    h('span', { part: 'box' }, iconOf('icon', content.icon, context, plain(content, 'alt'))),
  summary: content => plain(content, 'alt') || plain(content, 'icon'),
});
