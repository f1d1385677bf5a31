import {
  addPage,
  applyChange,
  editOf,
  getRecord,
  type HtmlElement,
  type Id,
  isNode,
  type MarkupOptions,
  must,
  pageScope,
  removeNodes,
  renderNode,
  type Site,
  sectionsIn,
} from '@cove/core';
import type { Offered } from '../offers.ts';
import type { SectionToAdd } from './sectionOffers.ts';

/** Sections laid on a page that is nobody's, in the looks of the site's own guide, each drawn alone, by its id. */
export function drawnSections(
  site: Site,
  offered: readonly Offered<SectionToAdd>[],
  options: MarkupOptions,
): { site: Site; page: Id; markup: ReadonlyMap<string, HtmlElement> } {
  const made = addPage(site, 'Sections');
  // Navigation in the pictures lists the pages of the site, not this one.
  const unlisted = editOf({ kind: 'page', id: made.id }).set('unlisted', true);
  let now = must(applyChange(site, { edits: [...made.edits, unlisted] })).site;
  const there = (['header', 'footer'] as const).flatMap(area => sectionsIn(now, made.id, area));
  const cleared = removeNodes(
    now,
    there.map(it => it.id),
  );
  now = must(applyChange(now, { edits: cleared })).site;
  const laid = new Map<string, Id>();
  for (const { id, thing } of offered) {
    const section = thing.lay(now, made.id, sectionsIn(now, made.id, 'main').length, 'below');
    const applied = section && applyChange(now, { edits: section.edits });
    if (!section || !applied?.ok) continue;
    now = applied.value.site;
    laid.set(id, section.id);
  }
  const page = now.kinds.page.get(made.id);
  const markup = new Map<string, HtmlElement>();
  if (page) {
    const scope = pageScope(now, page);
    for (const [id, node] of laid) {
      const section = getRecord(now, node);
      if (isNode(section)) markup.set(id, renderNode(now, scope, section, options));
    }
  }
  return { site: now, page: made.id, markup };
}
