import type { HeaderKind, PageRecord, SectionRecord } from './records.ts';
import { type Site, sectionsOf, settingsOf } from './site.ts';

/** The kind of header that a page has: its own, else the site’s. */
export function headerKindOf(site: Site, page: HeaderKind | null): Required<HeaderKind> {
  const settings = settingsOf(site);
  return {
    headerScrolls: page?.headerScrolls ?? settings.headerScrolls ?? 'withPage',
    headerColors: page?.headerColors ?? settings.headerColors ?? 'own',
  };
}

/** The first section of a page: what its header lies over, where it does. */
export const firstSection = (site: Site, { id }: Pick<PageRecord, 'id'>): SectionRecord | null =>
  sectionsOf(site, id, 'main')[0] ?? null;
