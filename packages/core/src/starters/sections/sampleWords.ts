import type { Content } from '../../content/index.ts';
import { stableText } from '../../site/index.ts';
import { SECTION_STARTERS } from './index.ts';
import { SITE_NAME, type Sketch } from './sketch.ts';

/** Fields whose words in a ready section say what belongs there, by widget; others, such as “Read more”, may stay. */
const ASKING_FIELDS: Readonly<Record<string, readonly string[]>> = {
  text: ['text'],
  quote: ['words', 'source', 'role'],
  listItem: ['text'],
  feature: ['title', 'text'],
  callout: ['title', 'text'],
  notice: ['text'],
  picture: ['alt', 'caption'],
  tab: ['title'],
  tableRow: ['cells'],
  figure: ['value', 'words'],
  testimonial: ['words', 'name', 'role'],
  card: ['title', 'text'],
  slide: ['title', 'caption'],
  galleryPicture: ['caption'],
  pictureText: ['alt'],
  helpEntry: ['question', 'answer'],
};

/** Headings of ready sections that ask for others. */
export const ASKING_HEADINGS: readonly string[] = [
  'Page title',
  'Say it in a few large words',
  'The title of the story',
  'One thing, told well',
];

const asks = (widget: string, field: string, words: Content): boolean =>
  widget === 'heading'
    ? field === 'text' && ASKING_HEADINGS.some(it => it === words)
    : (ASKING_FIELDS[widget]?.includes(field) ?? false);

/** Words that ready sections begin with and that no visitor should read, as stable texts by widget and field (`text text`). */
export function sampleWords(): ReadonlyMap<string, ReadonlySet<string>> {
  const found = new Map<string, Set<string>>();
  const visit = (sketches: readonly Sketch[]) => {
    for (const { widget, content = {}, holds = [] } of sketches) {
      for (const [field, words] of Object.entries(content)) {
        const text = stableText(words);
        // What says the name of the site is its own.
        if (words === '' || text.includes(SITE_NAME) || !asks(widget, field, words)) continue;
        const key = `${widget} ${field}`;
        found.set(key, (found.get(key) ?? new Set()).add(text));
      }
      visit(holds);
    }
  };
  for (const { holds } of SECTION_STARTERS) visit(holds);
  return found;
}
