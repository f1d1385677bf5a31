import type { LinkTarget } from '../../content/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editAt,
  editOf,
  type Id,
  keyBetween,
  putRecord,
  type Site,
  versionsOf,
} from '../../site/index.ts';
import { relinked } from './relink.ts';
import { removeNodes } from './several.ts';
import { duplicateNode, type Made } from './structure.ts';

/** Keeps what a section is now as a version of it, which shows nowhere, so that another can be tried. */
export function setAside(site: Site, section: Id, name: string): Result<Made> {
  const made = duplicateNode(site, section);
  if (!made.ok) return made;
  const order = keyBetween(versionsOf(site, section).at(-1)?.at.order ?? null, null);
  const { id } = made.value;
  const edits = made.value.edits.flatMap((edit): Edit[] => {
    // Nothing has to make room for it among the sections that show.
    if (edit.op !== 'put') return [];
    const { record } = edit;
    return record.id === id && record.kind === 'section'
      ? [putRecord({ ...record, name, at: { parent: section, order } })]
      : [edit];
  });
  return ok({ id, edits });
}

/** A version takes the place of the section it was set aside from, which is set aside in turn. Links follow. */
export function showVersion(site: Site, version: Id): Result<Edit[]> {
  const next = site.kinds.section.get(version);
  const now = next && site.kinds.section.get(next.at.parent);
  if (!next || !now)
    return fail({ code: 'gone', message: 'That version is no longer there.', record: version });
  const others = versionsOf(site, now.id).filter(it => it.id !== version);
  const at = (id: Id, parent: Id, order: string): Edit => editAt<'section'>(id).set('at', { parent, order });
  const lead = (link: LinkTarget): LinkTarget =>
    link.type === 'section' && link.section === now.id ? { ...link, section: version } : link;
  const links = [...site.kinds.widget.values()].flatMap((widget): Edit[] => {
    const other = relinked(widget, lead);
    return other === widget ? [] : [editOf(widget).set('content', other.content)];
  });
  return ok([
    at(version, now.at.parent, now.at.order),
    at(now.id, version, next.at.order),
    ...others.map(it => at(it.id, version, it.at.order)),
    ...links,
  ]);
}

/** Does away with all that was set aside: the section that shows is the one that is kept. */
export const keepShown = (site: Site, section: Id): Edit[] =>
  removeNodes(
    site,
    versionsOf(site, section).map(it => it.id),
  );
