import { addPage } from '../../commands/pages/pages.ts';
import { must } from '../../result/index.ts';
import { applyChange, type Edit, type Id, type Site } from '../../site/index.ts';
import { createSection } from '../sections/createSection.ts';
import type { PageStarter } from './pageStarter.ts';

/** Lays the sections of a ready page on one that is there, which holds none yet. */
export function createSections(site: Site, page: Id, { sections }: PageStarter): Edit[] {
  const all: Edit[] = [];
  let now = site;
  for (const [i, section] of sections.entries()) {
    const { edits } = createSection(now, page, i, section);
    all.push(...edits);
    now = must(applyChange(now, { edits })).site;
  }
  return all;
}

/** Lays a ready page, last among the pages. */
export function createPage(site: Site, starter: PageStarter): { edits: Edit[]; id: Id } {
  const { edits, id } = addPage(site, starter.title);
  const now = must(applyChange(site, { edits })).site;
  return { id, edits: [...edits, ...createSections(now, id, starter)] };
}
