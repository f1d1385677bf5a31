import { type Content, type LinkTarget, richText, type TableColumn } from '../../content/index.ts';
import type { SharedArea } from '../../site/index.ts';

/** What a section is for; the library is sorted by it. */
export const PURPOSES = [
  'opening',
  'content',
  'features',
  'proof',
  'action',
  'contact',
  'header',
  'footer',
] as const;
export type Purpose = (typeof PURPOSES)[number];

/** The area, shared by all pages, that sections of a purpose stand in; null where they stand on a page. */
export const sharedAreaOf = (purpose: Purpose): SharedArea | null =>
  purpose === 'header' || purpose === 'footer' ? purpose : null;

/** Which of the site's schemes it wears: the one that holds anyway, a tinted one, or a dark one. */
export type Tone = 'plain' | 'tinted' | 'strong';

/** A widget to be: its variants by axis and name, taken where the site's guide has them. */
export interface Sketch {
  widget: string;
  look?: Readonly<Record<string, string>>;
  content?: Readonly<Record<string, Content>>;
  holds?: readonly Sketch[];
}

/** A ready section. It brings words and an order, and no value of its own: how it looks is the guide's. */
export interface SectionStarter {
  id: string;
  label: string;
  purpose: Purpose;
  tone: Tone;
  look?: Readonly<Record<string, string>>;
  holds: readonly Sketch[];
}

/** Leads to the home page of the site that the section comes to. */
export const HOME: LinkTarget = { type: 'page', page: '' };
/** Stands in words for the name of the site. */
export const SITE_NAME = '{name}';
/** Stands for a picture of the site, a further one each time. */
export const PICTURE = 'picture-of-the-site';

export const heading = (text: string, level: 1 | 2 | 3 = 2): Sketch => ({
  widget: 'heading',
  look: { look: `Heading ${level}` },
  content: { text, level },
});
export const text = (...paragraphs: string[]): Sketch => ({
  widget: 'text',
  content: { text: richText(...paragraphs) },
});
export const lead = (words: string): Sketch => ({ ...text(words), look: { look: 'Lead' } });
export const small = (words: string): Sketch => ({ ...text(words), look: { look: 'Small' } });
export const button = (label: string, kind?: 'Outlined' | 'Quiet', size?: 'Small'): Sketch => ({
  widget: 'button',
  look: { ...(kind && { kind }), ...(size && { size }) },
  content: { label, link: HOME },
});
export const buttons = (...holds: Sketch[]): Sketch => ({ widget: 'buttonRow', holds });
export const across = (count: 'Two' | 'Three', ...holds: Sketch[]): Sketch => ({
  widget: 'group',
  look: { arrangement: `${count} across` },
  holds,
});
export const ends = (...holds: Sketch[]): Sketch => ({
  widget: 'group',
  look: { arrangement: 'To both ends' },
  holds,
});
export const centred = (...holds: Sketch[]): Sketch => ({
  widget: 'group',
  look: { arrangement: 'Centred' },
  holds,
});
export const title: Sketch = { widget: 'siteTitle' };
/** The pages of the site, with those below them in menus, and behind a button where the window is narrow. */
export const navigation = (
  label: string,
  arrangement = 'Menus',
  narrow: 'Full screen' | 'From the side' | 'Drops down' | 'Tiles' | 'Bottom bar' = 'Drops down',
): Sketch => ({
  widget: 'navigation',
  look: { arrangement, 'narrow arrangement': narrow },
  content: { label, depth: 2 },
});
/** The same as a plain list, for the end of a page. */
export const pagesListed = (label: string): Sketch => ({ widget: 'navigation', content: { label } });
export const column = (...holds: Sketch[]): Sketch => ({ widget: 'column', holds });
export const picture = (alt: string, caption = ''): Sketch => ({
  widget: 'picture',
  content: { asset: PICTURE, alt, caption },
});
export const feature = (
  title: string,
  words: string,
  more: Readonly<Record<string, Content>> = {},
): Sketch => ({
  widget: 'feature',
  look: { look: 'Card' },
  content: { title, level: 3, text: words, link: HOME, linkLabel: '', ...more },
});
export const quote = (words: string, source: string): Sketch => ({
  widget: 'quote',
  content: { words: richText(words), source },
});
export const list = (order: 'free' | 'numbered', ...items: string[]): Sketch => ({
  widget: 'list',
  content: { order },
  holds: items.map(it => ({ widget: 'listItem', content: { text: richText(it) } })),
});
/** A table by its rows, the first of which says what the columns are about. */
export const table = (
  caption: string,
  kinds: readonly TableColumn['kind'][],
  [headings = [], ...rows]: readonly (readonly string[])[],
): Sketch => ({
  widget: 'table',
  content: {
    columns: { columns: headings.map((it, i) => ({ heading: richText(it), kind: kinds[i] ?? 'words' })) },
    head: 'row and column',
    caption,
  },
  holds: rows.map(cells => ({
    widget: 'tableRow',
    content: { cells: { cells: cells.map(it => richText(it)) } },
  })),
});
export const form = (label: string, ...holds: Sketch[]): Sketch => ({
  widget: 'form',
  content: { label, needed: 'shown' },
  holds,
});
export const field = (
  kind: string,
  label: string,
  name: string,
  more: Readonly<Record<string, Content>> = {},
): Sketch => ({
  widget: 'field',
  content: {
    kind,
    label,
    name,
    placeholder: '',
    help: '',
    message: '',
    required: 'yes',
    ...more,
  },
});
export const accordion = (level: 2 | 3 | 4, ...holds: Sketch[]): Sketch => ({
  widget: 'accordion',
  content: { open: 'none', several: 'several', level },
  holds,
});
export const entry = (title: string, ...holds: Sketch[]): Sketch => ({
  widget: 'accordionEntry',
  content: { title, icon: null },
  holds,
});
export const tabs = (label: string, ...holds: Sketch[]): Sketch => ({
  widget: 'tabs',
  content: { label },
  holds,
});
export const tab = (title: string, ...holds: Sketch[]): Sketch => ({
  widget: 'tab',
  content: { title, icon: null },
  holds,
});
export const steps = (level: 2 | 3 | 4, ...holds: Sketch[]): Sketch => ({
  widget: 'steps',
  content: { level },
  holds,
});
export const step = (title: string, ...holds: Sketch[]): Sketch => ({
  widget: 'step',
  content: { title, icon: null },
  holds,
});
export const figures = (...holds: Sketch[]): Sketch => ({ widget: 'figures', content: {}, holds });
export const figure = (value: string, words: string): Sketch => ({
  widget: 'figure',
  content: { value, words, icon: null },
});
export const testimonials = (...holds: Sketch[]): Sketch => ({ widget: 'testimonials', content: {}, holds });
export const testimonial = (words: string, name: string, role: string): Sketch => ({
  widget: 'testimonial',
  content: { words: richText(words), name, role, asset: null, alt: '', icon: null },
});
export const cards = (...holds: Sketch[]): Sketch => ({ widget: 'cards', content: {}, holds });
export const card = (title: string, words: string, icon: string): Sketch => ({
  widget: 'card',
  content: { title, level: 3, text: words, link: HOME, linkLabel: '', asset: null, alt: '', icon },
});
export const gallery = (...captions: string[]): Sketch => ({
  widget: 'gallery',
  content: { large: 'yes', before: null, after: null, close: null },
  holds: captions.map(caption => ({
    widget: 'galleryPicture',
    content: { asset: PICTURE, alt: '', caption },
  })),
});
export const slides = (label: string, ...holds: Sketch[]): Sketch => ({
  widget: 'slides',
  content: { label, level: 3, dots: 'dots', advance: 'never', before: null, after: null },
  holds,
});
export const slide = (title: string, caption: string): Sketch => ({
  widget: 'slide',
  content: { asset: PICTURE, alt: '', title, caption, linkLabel: '' },
});
export const pictureText = (alt: string, ...holds: Sketch[]): Sketch => ({
  widget: 'pictureText',
  content: { asset: PICTURE, alt },
  holds,
});
export const help = (label: string, title: string, ...holds: Sketch[]): Sketch => ({
  widget: 'help',
  content: { label, icon: 'info', title, further: '', wayLabel: '' },
  holds,
});
export const answer = (question: string, words: string): Sketch => ({
  widget: 'helpEntry',
  content: { question, answer: richText(words) },
});
export const socialLinks = (label: string, ...holds: Sketch[]): Sketch => ({
  widget: 'socialLinks',
  content: { label },
  holds,
});
export const socialLink = (name: string, icon: string): Sketch => ({
  widget: 'socialLink',
  content: { name, icon, link: HOME },
});
export const space: Sketch = { widget: 'space', content: {} };
export const video = (title: string, caption: string): Sketch => ({
  widget: 'video',
  content: { poster: PICTURE, title, caption },
});
export const audio = (title: string, note: string): Sketch => ({
  widget: 'audio',
  content: { asset: PICTURE, title, note },
});
export const embed = (title: string, caption: string): Sketch => ({
  widget: 'embed',
  content: { title, asset: null, caption },
});
export const download = (label: string, note: string): Sketch => ({
  widget: 'download',
  content: { label, note, icon: 'download' },
});
export const map = (title: string, address: string): Sketch => ({
  widget: 'map',
  look: { look: 'Words beside' },
  content: { title, address, link: HOME, linkLabel: 'The way there' },
});
