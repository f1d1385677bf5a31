import { addPage } from '../../commands/pages/pages.ts';
import { must } from '../../result/index.ts';
import { applyChange, type Edit, type Id, type Site } from '../../site/index.ts';
import { laySection } from '../sections/laySection.ts';
import type { PageStarter } from './pageStarter.ts';

/** Lays the sections of a ready page on one that is there, which holds none yet. */
export function laySections(site: Site, page: Id, { sections }: PageStarter): Edit[] {
  const all: Edit[] = [];
  let now = site;
  for (const [i, section] of sections.entries()) {
    const { edits } = laySection(now, page, i, section);
    all.push(...edits);
    now = must(applyChange(now, { edits })).site;
  }
  return all;
}

/** Lays a ready page, last among the pages. */
export function layPage(site: Site, starter: PageStarter): { edits: Edit[]; id: Id } {
  const { edits, id } = addPage(site, starter.title);
  const now = must(applyChange(site, { edits })).site;
  return { id, edits: [...edits, ...laySections(now, id, starter)] };
}
