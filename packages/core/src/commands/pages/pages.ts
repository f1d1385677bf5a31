import type { LinkTarget } from '../../content/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  childrenOf,
  type Edit,
  editAt,
  editOf,
  getRecord,
  type Id,
  isNode,
  newId,
  nodesIn,
  type PageRecord,
  putRecord,
  removeRecord,
  SETTINGS,
  type Site,
  settingsOf,
} from '../../site/index.ts';
import { copiedRules } from '../rules/placedRules.ts';
import { partFrom, relinked } from './relink.ts';
import { type Made, placeAt } from './structure.ts';

/** What addresses are made of: the last step, in small letters, digits and hyphens. */
export const addressOf = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 80)
    .replace(/^-+|-+$/g, '');

/** An address below a parent that no other page has, as near to the text as can be. */
export function freeAddress(site: Site, parent: Id, text: string, without: Id | null = null): string {
  const wanted = addressOf(text) || 'page';
  const taken = new Set(
    childrenOf(site, parent)
      .filter(id => id !== without)
      .map(id => site.kinds.page.get(id)?.path),
  );
  let path = wanted;
  for (let n = 2; taken.has(path); n++) path = `${wanted.slice(0, 76)}-${n}`;
  return path;
}

const gone = (id: Id) => fail({ code: 'gone', message: 'That page is no longer there.', record: id });
const isPage = (site: Site, id: Id): boolean => site.kinds.page.has(id);
const pagePlace = (site: Site, parent: Id, index: number, without: Id | null) =>
  placeAt(site, parent, index, without, 'pages');

/** An empty page, last below its parent. */
export function addPage(site: Site, title: string, parent: Id = SETTINGS): Made {
  const id = newId('g');
  const { order, rekeyed } = pagePlace(site, parent, Number.MAX_SAFE_INTEGER, null);
  const record: PageRecord = {
    id,
    kind: 'page',
    pageKind: 'page',
    title,
    path: freeAddress(site, parent, title),
    description: '',
    at: { parent, order },
    scheme: null,
    rebind: {},
  };
  return { id, edits: [...rekeyed, putRecord(record)] };
}

/** Gives a page another address; what is typed is cleaned, and refused where another page has it. */
export function setAddress(site: Site, id: Id, text: string): Result<Edit[]> {
  const page = site.kinds.page.get(id);
  if (!page) return gone(id);
  if (settingsOf(site).home === id)
    return fail({ code: 'bad-address', message: 'The home page has no address of its own.', record: id });
  const path = addressOf(text);
  if (path === '')
    return fail({
      code: 'bad-address',
      message: 'An address needs letters or digits.',
      record: id,
      found: text,
      expected: 'small letters, digits and hyphens',
    });
  const other = childrenOf(site, page.at.parent)
    .map(it => site.kinds.page.get(it))
    .find(it => it && it.id !== id && it.path === path);
  if (other)
    return fail({
      code: 'address-taken',
      message: `${other.title} has the address ${path} already.`,
      record: id,
      path: 'path',
      found: path,
      expected: freeAddress(site, page.at.parent, path, id),
    });
  return ok(path === page.path ? [] : [editOf(page).set('path', path)]);
}

/** Brings a page to place number `index` among the pages below a parent; its address gives way where it is taken there. */
export function movePage(site: Site, id: Id, parent: Id, index: number): Result<Edit[]> {
  const page = site.kinds.page.get(id);
  if (!page) return gone(id);
  for (let at: Id = parent; isPage(site, at); at = site.kinds.page.get(at)?.at.parent ?? SETTINGS)
    if (at === id)
      return fail({ code: 'circular', message: 'A page cannot stand below itself.', record: id });
  const { home } = settingsOf(site);
  if (parent !== SETTINGS && home === id)
    return fail({ code: 'bad-home', message: 'The home page stands at the top.', record: id });
  // It has no address of its own, so pages below it would share theirs with those at the top.
  if (parent === home)
    return fail({ code: 'bad-home', message: 'Pages stand beside the home page, not below it.', record: id });
  const { order, rekeyed } = pagePlace(site, parent, index, id);
  const path = page.path === '' ? '' : freeAddress(site, parent, page.path, id);
  return ok([
    ...rekeyed,
    editOf(page).set('at', { parent, order }),
    ...(path === page.path ? [] : [editOf(page).set('path', path)]),
  ]);
}

/** Pages right below another, or below the settings for those at the top, in order. */
export const pagesBelow = (site: Site, parent: Id): Id[] =>
  childrenOf(site, parent).filter(id => isPage(site, id));

/** A move by keys: among its siblings, below the one before, or out of its parent. */
export function nudgePage(site: Site, id: Id, direction: 'up' | 'down' | 'in' | 'out'): Result<Edit[]> {
  const page = site.kinds.page.get(id);
  if (!page) return gone(id);
  const { parent } = page.at;
  const siblings = pagesBelow(site, parent);
  const index = siblings.indexOf(id);
  const nowhere = fail({ code: 'nowhere', message: 'It cannot go further that way.', record: id });
  const before = siblings[index - 1];
  switch (direction) {
    case 'in':
      return before === undefined ? nowhere : movePage(site, id, before, Number.MAX_SAFE_INTEGER);
    case 'out': {
      const holder = site.kinds.page.get(parent);
      if (!holder) return nowhere;
      return movePage(site, id, holder.at.parent, pagesBelow(site, holder.at.parent).indexOf(parent) + 1);
    }
    case 'up':
      return index === 0 ? nowhere : movePage(site, id, parent, index - 1);
    case 'down':
      return index === siblings.length - 1 ? nowhere : movePage(site, id, parent, index + 1);
  }
}

/** A copy of a page with all that stands on it, right after it; pages below it are left out. */
export function duplicatePage(site: Site, id: Id): Result<Made> {
  const page = site.kinds.page.get(id);
  if (!page) return gone(id);
  const ids = new Map<Id, Id>([[id, newId('g')]]);
  const inside = nodesIn(site, id);
  for (const it of inside) ids.set(it, newId(site.kinds.section.has(it) ? 's' : 'w'));
  const copy = ids.get(id) ?? id;
  const { order, rekeyed } = pagePlace(
    site,
    page.at.parent,
    pagesBelow(site, page.at.parent).indexOf(id) + 1,
    null,
  );
  const title = `${page.title} copy`;
  const puts = inside.flatMap((it): Edit[] => {
    const record = getRecord(site, it);
    const made = ids.get(it);
    if (!isNode(record) || made === undefined) return [];
    const at = { ...record.at, parent: ids.get(record.at.parent) ?? record.at.parent };
    const kept = { ...record, id: made, at };
    // Links into the page lead into the copy.
    return [putRecord(kept.kind === 'widget' ? relinked(kept, link => within(link, ids)) : kept)];
  });
  return ok({
    id: copy,
    edits: [
      ...rekeyed,
      putRecord({
        ...page,
        id: copy,
        title,
        path: freeAddress(site, page.at.parent, title),
        at: { parent: page.at.parent, order },
      }),
      ...puts,
      ...copiedRules(site, ids),
    ],
  });
}

const within = (link: LinkTarget, ids: ReadonlyMap<Id, Id>): LinkTarget =>
  link.type === 'section' && ids.has(link.section)
    ? {
        type: 'section',
        page: ids.get(link.page) ?? link.page,
        section: ids.get(link.section) ?? link.section,
      }
    : link;

/**
 * Takes a page away with all that stands on it and the pages below it. Links that led there lead to the page above it, or
 * to the home page; rules for it go.
 */
export function removePage(site: Site, id: Id): Result<Edit[]> {
  const page = site.kinds.page.get(id);
  if (!page) return gone(id);
  const { home } = settingsOf(site);
  const all = [id];
  for (const it of all) all.push(...pagesBelow(site, it));
  if (all.includes(home))
    return fail({ code: 'bad-home', message: 'Choose another home page first.', record: id });
  const leaving = new Set(all.flatMap(it => [it, ...nodesIn(site, it)]));
  const to: LinkTarget = { type: 'page', page: isPage(site, page.at.parent) ? page.at.parent : home };
  const leads = (link: LinkTarget) =>
    (link.type === 'page' || link.type === 'section') && leaving.has(link.page) ? to : link;
  return ok([...partFrom(site, leaving, leads), removeRecord(id)]);
}

/** Makes another page the one that visitors see first; the old one gets an address of its own. */
export function setHome(site: Site, id: Id): Result<Edit[]> {
  const page = site.kinds.page.get(id);
  const settings = settingsOf(site);
  if (!page) return gone(id);
  if (settings.home === id) return ok([]);
  if (page.off)
    return fail({ code: 'bad-home', message: 'A page that is off cannot be the home page.', record: id });
  if (pagesBelow(site, id).length > 0)
    return fail({
      code: 'bad-home',
      message:
        'Pages stand below it. Bring them to the top first: the home page has no address they could be under.',
      record: id,
    });
  const old = site.kinds.page.get(settings.home);
  const { order, rekeyed } = pagePlace(site, SETTINGS, 0, id);
  return ok([
    ...rekeyed,
    ...(old ? [editOf(old).set('path', freeAddress(site, old.at.parent, old.title || 'home', id))] : []),
    editOf(page).set('path', ''),
    ...(page.at.parent === SETTINGS ? [] : [editOf(page).set('at', { parent: SETTINGS, order })]),
    editOf(settings).set('home', id),
  ]);
}

/** The three switches of a page, each away from what is usual. */
export const PAGE_SWITCHES = ['off', 'unlisted', 'unindexed'] as const;
export type PageSwitch = (typeof PAGE_SWITCHES)[number];

export const switchPage = (id: Id, name: PageSwitch, on: boolean): Edit[] => [
  editAt<'page'>(id).put(name, on ? true : null),
];
