import type { Content } from '../../content/index.ts';
import {
  bareLink,
  cardTitle,
  coverPicture,
  flatParagraph,
  iconBaseline,
  linkStates,
} from '../kit/baseline.ts';
import { type ElementType, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { linkOf } from '../kit/link.ts';
import { h, linkAttrs, type MarkupContext, type VElement } from '../kit/markup.ts';
import { image } from '../picture/index.ts';

const LEVELS = [2, 3, 4, 5, 6] as const;
const CLICKED = ['the link', 'the whole card'] as const;

/** The link reaches over the whole card, which then is clicked as one; what is read of it stays the words of the link. */
export const clickedAsOne = (name: 'feature' | 'card'): readonly string[] => [
  `:where(.${name}-box[data-whole]){position:relative}`,
  `@media screen{:where(.${name}-box[data-whole]) :where(.${name}-link)::after{content:'';position:absolute;inset:0;z-index:1}}`,
];

/** What points something out: a sign or picture, and beside, below or over it a title, some words and a way on. */
export const pointingOut = {
  family: 'pointing',
  about: 'One point and a link',
  words: 'card teaser service benefit product box',
  parts: {
    box: { label: 'Card', kind: 'box', states: ['hover'], byTouch: true },
    picture: { label: 'Picture', kind: 'picture', inside: 'box' },
    icon: { label: 'Icon', kind: 'icon', inside: 'box' },
    words: { label: 'Words', kind: 'box', inside: 'box' },
    title: { label: 'Title', kind: 'heading', inside: 'words', shows: 'title' },
    text: { label: 'Text', kind: 'text', inside: 'words', shows: 'text' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'words',
      shows: 'linkLabel',
      host: 'link',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
  },
  axes: ['look'],
  holds: null,
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'column',
    'box/alignItems': 'start',
    'box/rowGap': '0.5rem',
    ...coverPicture('picture'),
    ...iconBaseline('icon', '2rem'),
    // What it holds stands in the card as the card arranges it, until the words are given a place of their own.
    'words/display': 'contents',
    ...cardTitle('title'),
    ...flatParagraph('text'),
    ...bareLink('link'),
    ...linkStates('link'),
  }),
  content: {
    title: { type: 'plain', label: 'Title' },
    level: { type: 'choice', label: 'Title level', options: LEVELS },
    text: { type: 'plain', label: 'Text', long: true },
    link: { type: 'link', label: 'Link' },
    linkLabel: { type: 'plain', label: 'Link text' },
    clicked: { type: 'choice', label: 'What is clicked', options: CLICKED },
    asset: { type: 'asset', label: 'Picture' },
    icon: { type: 'icon', label: 'Icon' },
    alt: { type: 'plain', label: 'Alt text' },
  },
  sample: {
    title: 'The title of a card',
    level: 3,
    text: 'What it is about, in a sentence.',
    link: { type: 'url', href: 'https://domain.example/' },
    linkLabel: 'Read more',
    clicked: 'the link',
    asset: null,
    alt: '',
  },
  begins: {
    title: 'Title',
    level: 3,
    text: 'Write a sentence or two here.',
    linkLabel: '',
    clicked: 'the link',
    asset: null,
    alt: '',
  },
  summary: content => plain(content, 'title') || plain(content, 'text'),
} as const satisfies Omit<ElementType, 'name' | 'label'>;

export function pointingOutMarkup(
  tag: 'div' | 'li',
  content: Readonly<Record<string, Content>>,
  context: MarkupContext,
): VElement {
  const level = LEVELS.find(it => it === content.level) ?? 3;
  const link = linkOf(content, 'link');
  const attrs = link ? linkAttrs(link, context) : null;
  const leads = attrs?.href != null && plain(content, 'linkLabel') !== '';
  return h(
    tag,
    // Where a page is edited, each part of it is picked by itself.
    {
      part: 'box',
      'data-whole': content.clicked === 'the whole card' && leads && attrs.href !== '#' ? true : null,
    },
    typeof content.asset === 'string' && image(content.asset, plain(content, 'alt'), context),
    iconOf('icon', content.icon, context),
    h(
      'div',
      { part: 'words' },
      h(`h${level}`, { part: 'title' }, plain(content, 'title')),
      plain(content, 'text') !== '' && h('p', { part: 'text' }, plain(content, 'text')),
      leads && h('a', { part: 'link', ...attrs }, plain(content, 'linkLabel')),
    ),
  );
}
