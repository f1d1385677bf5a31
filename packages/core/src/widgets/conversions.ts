/** What of one element says the same in another: fields, and parts, each by the name it has there. */
export interface Match {
  readonly content: Readonly<Record<string, string>>;
  readonly parts: Readonly<Record<string, string>>;
}

/** How an element becomes another one that carries the same content. */
export interface Conversion extends Match {
  readonly from: string;
  readonly to: string;
  /** What becomes of its items, by their element. */
  readonly items: Readonly<Record<string, Match & { readonly to: string }>>;
}

interface Pair extends Omit<Conversion, 'from' | 'to'> {
  readonly between: readonly [from: string, to: string];
}

/** Words inside running text, which have the same parts wherever it stands. */
const RUNS = { paragraph: 'paragraph', link: 'link', code: 'code', marked: 'marked' };

/** Read in both directions, so each name stands once on its side: what is kept one way is kept on the way back. */
const PAIRS: readonly Pair[] = [
  {
    between: ['accordion', 'tabs'],
    content: {},
    parts: { accordion: 'tabs', bar: 'tab', sign: 'sign', title: 'title', panel: 'panel' },
    items: {
      accordionEntry: {
        to: 'tab',
        content: { title: 'title', icon: 'icon' },
        parts: { bar: 'tab', sign: 'sign', title: 'title', panel: 'panel' },
      },
    },
  },
  ...(
    [
      ['accordion', 'accordionEntry'],
      ['tabs', 'tab'],
    ] as const
  ).map(
    ([holder, item]): Pair => ({
      between: ['steps', holder],
      content: {},
      parts: { steps: holder },
      items: {
        step: {
          to: item,
          content: { title: 'title', icon: 'icon' },
          parts: { sign: 'sign', title: 'title', body: 'panel' },
        },
      },
    }),
  ),
  {
    between: ['video', 'picture'],
    content: { poster: 'asset', title: 'alt', caption: 'caption' },
    parts: { box: 'box', screen: 'picture', caption: 'caption' },
    items: {},
  },
  {
    between: ['map', 'feature'],
    content: { title: 'title', address: 'text', link: 'link', linkLabel: 'linkLabel' },
    parts: { box: 'box', words: 'words', title: 'title', address: 'text', link: 'link' },
    items: {},
  },
  {
    between: ['audio', 'download'],
    content: { title: 'label', note: 'note', file: 'link' },
    parts: { box: 'box', title: 'name', note: 'note' },
    items: {},
  },
  {
    between: ['embed', 'button'],
    content: { title: 'label', link: 'link' },
    parts: { button: 'label' },
    items: {},
  },
  {
    between: ['gallery', 'slides'],
    content: { before: 'before', after: 'after' },
    parts: { gallery: 'slides', pictures: 'row' },
    items: {
      galleryPicture: {
        to: 'slide',
        content: { asset: 'asset', alt: 'alt', caption: 'caption' },
        parts: { place: 'slide', frame: 'frame', picture: 'picture', caption: 'caption' },
      },
    },
  },
  {
    between: ['cards', 'slides'],
    content: {},
    parts: { cards: 'row' },
    items: {
      card: {
        to: 'slide',
        content: {
          title: 'title',
          text: 'caption',
          link: 'link',
          linkLabel: 'linkLabel',
          asset: 'asset',
          alt: 'alt',
        },
        parts: {
          box: 'frame',
          picture: 'picture',
          words: 'words',
          title: 'title',
          text: 'caption',
          link: 'link',
        },
      },
    },
  },
  {
    between: ['cards', 'gallery'],
    content: {},
    parts: { cards: 'pictures' },
    items: {
      card: {
        to: 'galleryPicture',
        content: { title: 'caption', asset: 'asset', alt: 'alt' },
        parts: { box: 'frame', picture: 'picture', title: 'caption' },
      },
    },
  },
  {
    between: ['button', 'download'],
    content: { label: 'label', link: 'link', icon: 'icon' },
    parts: { box: 'link', icon: 'sign', label: 'name' },
    items: {},
  },
  { between: ['group', 'column'], content: {}, parts: { box: 'box' }, items: {} },
  {
    between: ['callout', 'notice'],
    content: { title: 'word', text: 'text' },
    parts: { box: 'box', title: 'word', ...RUNS },
    items: {},
  },
  { between: ['text', 'quote'], content: { text: 'words' }, parts: { box: 'box', ...RUNS }, items: {} },
  {
    between: ['text', 'callout'],
    content: { text: 'text' },
    parts: { box: 'box', ...RUNS },
    items: {},
  },
];

const reversed = (names: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(names).map(([from, to]) => [to, from]));
const back = ({ content, parts }: Match): Match => ({ content: reversed(content), parts: reversed(parts) });

/** Every ordered pair of elements of which the one can become the other. */
export const CONVERSIONS: readonly Conversion[] = PAIRS.flatMap(
  ({ between: [from, to], items, ...match }): Conversion[] => [
    { from, to, items, ...match },
    {
      from: to,
      to: from,
      ...back(match),
      items: Object.fromEntries(
        Object.entries(items).map(([item, it]) => [it.to, { to: item, ...back(it) }]),
      ),
    },
  ],
);
