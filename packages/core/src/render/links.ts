import type { LinkTarget } from '../content/index.ts';
import {
  childrenOf,
  getRecord,
  type Id,
  type PageRecord,
  SETTINGS,
  type Site,
  settingsOf,
} from '../site/index.ts';
import type { PageBranch } from '../widgets/index.ts';

const folders = new WeakMap<Site['kinds']['page'], Map<PageRecord, string>>();

/** Folder of a page below the site's root, with a slash at its end; empty for the home page. */
export function pageFolder(site: Site, page: PageRecord): string {
  if (page.path === '') return '';
  let known = folders.get(site.kinds.page);
  if (!known) {
    known = new Map();
    folders.set(site.kinds.page, known);
  }
  let folder = known.get(page);
  if (folder === undefined) {
    const parent = getRecord(site, page.at.parent);
    folder = `${parent?.kind === 'page' ? pageFolder(site, parent) : ''}${page.path}/`;
    known.set(page, folder);
  }
  return folder;
}

/** Way from a page up to the site's root: `../` for each folder. */
export const toRoot = (site: Site, from: PageRecord): string =>
  '../'.repeat(pageFolder(site, from).split('/').length - 1);

export const pageHref = (site: Site, from: PageRecord, to: PageRecord): string =>
  `${toRoot(site, from)}${pageFolder(site, to)}` || './';

export function linkHref(site: Site, from: PageRecord, link: LinkTarget): string | null {
  switch (link.type) {
    case 'page':
    case 'section': {
      const to = site.kinds.page.get(link.page);
      if (!to || to.off) return null;
      const base = to.id === from.id && link.type === 'section' ? '' : pageHref(site, from, to);
      return link.type === 'section' ? `${base}#s-${link.section}` : base;
    }
    case 'url':
      return link.href;
    case 'mail':
      return `mailto:${link.address}`;
    // Where files lie is for whoever renders to say.
    case 'file':
      return null;
    case 'phone':
      return `tel:${link.number.replace(/[^+0-9]/g, '')}`;
  }
}

interface Listed {
  children: readonly Id[];
  pages: readonly PageRecord[];
}
const listed = new WeakMap<Site['kinds']['page'], Map<Id, Listed>>();

/** Pages right below another or, for the settings, at the top, in order: those that navigation lists. */
export function listedPages(site: Site, below: Id = SETTINGS): readonly PageRecord[] {
  const children = childrenOf(site, below);
  const known = listed.get(site.kinds.page) ?? new Map<Id, Listed>();
  listed.set(site.kinds.page, known);
  const there = known.get(below);
  if (there?.children === children) return there.pages;
  const pages = children
    .map(id => site.kinds.page.get(id))
    .filter(page => page !== undefined)
    .filter(page => page.pageKind === 'page' && !page.off && !page.unlisted);
  known.set(below, { children, pages });
  return pages;
}

/** The pages of a branch, as a widget asks for them. */
export const pagesOfBranch = (site: Site, branch: PageBranch): readonly PageRecord[] =>
  'below' in branch
    ? listedPages(site, branch.below ?? SETTINGS)
    : listedPages(site, site.kinds.page.get(branch.beside)?.at.parent).filter(it => it.id !== branch.beside);

/** All pages, each before those below it. */
export function pagesInOrder(site: Site, below: Id = SETTINGS): PageRecord[] {
  return childrenOf(site, below).flatMap(id => {
    const page = site.kinds.page.get(id);
    return page ? [page, ...pagesInOrder(site, id)] : [];
  });
}

export const homePage = (site: Site): PageRecord | undefined => site.kinds.page.get(settingsOf(site).home);
