import {
  allRecords,
  type PageRecord,
  SETTINGS,
  type SectionRecord,
  type Site,
  settingsOf,
  siteOf,
  type WidgetRecord,
} from '../site/index.ts';
import { phraseOf } from './markupContext.ts';
import { type RenderedPage, renderPage } from './renderedPage.ts';

/** The file that hosts answer with where there is no page. */
export const NOT_FOUND_FILE = '404.html';

const LOOK = { variants: {}, wears: {}, styles: {} } as const;

/** The page of a site that has none of its own: a title, a line and the way home, below the header that pages share. */
function plainPage(site: Site): readonly [PageRecord, SectionRecord, ...WidgetRecord[]] {
  const page: PageRecord = {
    id: 'program-not-found',
    kind: 'page',
    pageKind: 'notFound',
    path: '',
    title: phraseOf(site, 'notFound'),
    description: '',
    at: { parent: SETTINGS, order: 'zzzz' },
    scheme: null,
    rebind: {},
    unlisted: true,
    unindexed: true,
  };
  const section: SectionRecord = {
    id: 'program-not-found-section',
    kind: 'section',
    area: 'main',
    name: page.title,
    at: { parent: page.id, order: 'V' },
    scheme: null,
    rebind: {},
    ...LOOK,
  };
  const widget = (name: string, widget: string, order: string, content: WidgetRecord['content']) => ({
    id: `program-not-found-${name}`,
    kind: 'widget' as const,
    widget,
    at: { parent: section.id, order },
    content,
    ...LOOK,
  });
  const { home, name } = settingsOf(site);
  return [
    page,
    section,
    widget('title', 'heading', 'V', { text: page.title, level: 1 }),
    widget('text', 'text', 'VV', {
      text: [
        [{ text: phraseOf(site, 'notFoundText') }],
        [{ text: name, link: { type: 'page', page: home } }],
      ],
    }),
  ];
}

/**
 * The page that is answered where there is none, rendered for any address: `base` is where the site’s root is found, as a
 * path with a slash at its end.
 */
export function renderNotFound(site: Site, base: string): RenderedPage {
  const own = [...site.kinds.page.values()].find(it => it.pageKind === 'notFound' && !it.off);
  const records = own ? [{ ...own, path: '' }] : plainPage(site);
  const replaced = new Set(records.map(it => it.id));
  const [page] = records;
  const whole = siteOf([...[...allRecords(site)].filter(it => !replaced.has(it.id)), ...records]);
  return renderPage(whole, page, base);
}
