import { flatList } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h, type MadeItem, type MarkupContext } from '../kit/markup.ts';
import { navigationLooks } from './looks.ts';

const DEPTHS = [1, 2, 3] as const;
const ENTRIES = ['pages, then entries', 'entries'] as const;

/** The pages of the site as they are now with entries before and behind them, or entries alone. */
export const navigation = element({
  name: 'navigation',
  label: 'Navigation',
  family: 'navigation',
  about: 'The pages of the site',
  words: 'menu links header pages',
  parts: {
    box: { label: 'Box', kind: 'box' },
    list: { label: 'List', kind: 'box', inside: 'box' },
  },
  axes: ['look'],
  looks: navigationLooks,
  holds: 'list',
  accepts: ['navigationEntry'],
  sampleHolds: [],
  program: programStyles({
    'box/display': 'block',
    ...flatList('list'),
    'list/flexDirection': 'row',
    'list/flexWrap': 'wrap',
    'list/rowGap': '0.25rem',
    'list/columnGap': '1.5rem',
  }),
  content: {
    label: { type: 'plain', label: 'Name for screen readers' },
    entries: { type: 'choice', label: 'Entries', options: ENTRIES },
    depth: { type: 'choice', label: 'Levels of pages', options: DEPTHS },
  },
  sample: { label: 'Main', entries: 'pages, then entries', depth: 1 },
  begins: { label: '', entries: 'pages, then entries', depth: 1 },
  markup: (content, context) => {
    const depth = DEPTHS.find(it => it === content.depth) ?? 1;
    const pages = content.entries === 'entries' ? [] : pageEntries(context, null, depth);
    return h(
      'nav',
      { part: 'box', 'aria-label': plain(content, 'label') || context.phrase('mainNavigation') },
      pages.length === 0
        ? h('ul', { part: 'list' }, CHILDREN)
        : h('ul', { part: 'list' }, { where: ({ place }) => place === 'before them' }, ...pages, {
            where: ({ place }) => place !== 'before them',
          }),
    );
  },
});

/** An entry for each page, with those of the pages below it while there are levels left. */
function pageEntries(context: MarkupContext, below: string | null, levels: number): MadeItem[] {
  if (levels === 0) return [];
  return context.pages({ below }).map(({ id, title }) => ({
    item: 'navigationEntry',
    content: { label: title, link: { type: 'page', page: id } },
    holds: pageEntries(context, id, levels - 1),
  }));
}
