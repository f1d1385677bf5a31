import { addPage } from '../../commands/pages.ts';
import { must } from '../../result/index.ts';
import { applyChange, type Edit, type Id, type Site } from '../../site/index.ts';
import { laySection } from '../sections/laySection.ts';
import type { PageStarter } from './pageStarter.ts';

/** Lays a ready page, last among the pages. */
export function layPage(site: Site, starter: PageStarter): { edits: Edit[]; id: Id } {
  const { edits, id } = addPage(site, starter.title);
  const all = [...edits];
  let now = must(applyChange(site, { edits })).site;
  for (const [i, section] of starter.sections.entries()) {
    const laid = laySection(now, id, i, section);
    all.push(...laid.edits);
    now = must(applyChange(now, { edits: laid.edits })).site;
  }
  return { id, edits: all };
}
