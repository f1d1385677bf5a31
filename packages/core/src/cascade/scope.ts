import {
  type Area,
  elementOfNode,
  firstSection,
  getRecord,
  headerKindOf,
  type Id,
  isNode,
  type NodeRecord,
  type PageKind,
  type PageRecord,
  type Place,
  type SectionRecord,
  type Site,
  settingsOf,
} from '../site/index.ts';
import type { Rebinds } from '../tokens/index.ts';
import { NO_REBINDS } from '../tokens/index.ts';
import { type ElementType, elementNamed, isItem, ownerOf } from '../widgets/index.ts';

/** All of an element's surroundings that have a say in its values. */
export interface Scope {
  element: ElementType;
  /** Null for an element that stands on no page: a cell of the specimen. */
  node: NodeRecord | null;
  page: PageRecord | null;
  section: SectionRecord | null;
  area: Area;
  pageKind: PageKind;
  /** The page and those above it, the outermost first. */
  branch: readonly Id[];
  longForm: boolean;
  scheme: Id;
  /** The record that wears the scheme in effect here. */
  wearer: Id;
  rebinds: Rebinds;
  variants: Readonly<Record<string, Id>>;
  wears: NodeRecord['wears'];
  /** The first section of the page, where a header lies over it: of the header, and of the page that it is on. */
  over: SectionRecord | null;
  /** What holds it, and the part it stands in. */
  parent: { scope: Scope; part: string } | null;
}

const merged = new WeakMap<Rebinds, WeakMap<Rebinds, Rebinds>>();

/** Two levels of rebindings as one, the inner over the outer; the same object for the same two. */
export function mergeRebinds(outer: Rebinds, inner: Rebinds): Rebinds {
  if (Object.keys(inner).length === 0) return outer;
  if (Object.keys(outer).length === 0) return inner;
  const known = merged.get(outer)?.get(inner);
  if (known) return known;
  const both = { ...outer, ...inner };
  const table = merged.get(outer) ?? new WeakMap<Rebinds, Rebinds>();
  merged.set(outer, table.set(inner, both));
  return both;
}

/** A page and those above it, the outermost first. */
export function branchOf(site: Site, page: PageRecord): Id[] {
  const ids = [page.id];
  for (let at = getRecord(site, page.at.parent); at?.kind === 'page'; at = getRecord(site, at.at.parent))
    ids.unshift(at.id);
  return ids;
}

export function pageScope(site: Site, page: PageRecord): Scope {
  const settings = settingsOf(site);
  return {
    element: elementNamed('page'),
    node: null,
    page,
    section: null,
    area: 'main',
    pageKind: page.pageKind,
    branch: branchOf(site, page),
    longForm: false,
    scheme: page.scheme ?? settings.defaultScheme,
    wearer: page.scheme ? page.id : settings.id,
    rebinds: page.rebind,
    variants: {},
    wears: {},
    over: headerKindOf(site, page).headerColors === 'firstSection' ? firstSection(site, page) : null,
    parent: null,
  };
}

/** Scope of a record inside one of the given scope. */
export function childScope(outer: Scope, node: NodeRecord): Scope {
  const element = elementOfNode(node);
  const part = outer.element.holds ?? 'box';
  const own = {
    element,
    node,
    variants: node.variants,
    wears: node.wears,
    over: node.kind === 'section' && node.area === 'header' ? outer.over : null,
    parent: { scope: outer, part },
  };
  if (node.kind === 'widget')
    return { ...outer, ...own, longForm: outer.longForm || outer.element.longForm === true };
  // What lies over a section is read on it, so it is coloured as that is.
  const worn = own.over ?? node;
  return {
    ...outer,
    ...own,
    section: node,
    area: node.area,
    scheme: worn.scheme ?? outer.scheme,
    wearer: worn.scheme ? worn.id : outer.wearer,
    rebinds: mergeRebinds(outer.rebinds, node.rebind),
  };
}

/** What holds an item and has a say in how it looks: the nearest around it that is none of its kind; null for any other element. */
export function holderOf({ element, parent }: Scope): Scope | null {
  if (!element.onlyIn) return null;
  for (let at = parent?.scope; at; at = at.parent?.scope)
    if (!isItem(at.element)) return element.onlyIn.includes(at.element.name) ? at : null;
  return null;
}

const itemScopes = new WeakMap<Scope, Map<ElementType, Scope>>();

/** The scope in which a part is asked for: a part of its items is asked for in an item that says nothing itself. */
export function partScope(scope: Scope, part: string): Scope {
  const element = ownerOf(scope.element, part);
  if (element === scope.element) return scope;
  const known = itemScopes.get(scope) ?? new Map<ElementType, Scope>();
  itemScopes.set(scope, known);
  let item = known.get(element);
  if (!item) {
    item = {
      ...scope,
      element,
      node: null,
      variants: {},
      wears: {},
      parent: { scope, part: scope.element.holds ?? 'box' },
    };
    known.set(element, item);
  }
  return item;
}

/** Scope of a section or widget as it stands on a page (a header is on many); null if it does not stand there. */
export function nodeScope(site: Site, pageId: Id, nodeId: Id): Scope | null {
  const page = site.kinds.page.get(pageId);
  if (!page) return null;
  const chain: NodeRecord[] = [];
  let at = getRecord(site, nodeId);
  while (isNode(at)) {
    chain.unshift(at);
    const above = getRecord(site, at.at.parent);
    // A version that was set aside is asked about as if it stood in its section's place.
    at = at.kind === 'section' && above?.kind === 'section' ? getRecord(site, above.at.parent) : above;
  }
  const root = chain[0];
  if (root?.kind !== 'section') return null;
  // What pages share stands on each of them; all else on its own.
  if ((root.area === 'main' || at?.kind === 'page') && at?.id !== pageId) return null;
  return chain.reduce(childScope, pageScope(site, page));
}

/** A page that is no page of the site, for asking what would hold in an area or on a kind of page. */
const anyPage = (pageKind: PageKind): PageRecord => ({
  id: '',
  kind: 'page',
  pageKind,
  title: '',
  path: '',
  description: '',
  at: { parent: '', order: 'V' },
  scheme: null,
  rebind: NO_REBINDS,
});

/** What stands around an element where a rule for one page, for a branch of pages or for one section holds. */
function surroundingsOf(site: Site, place: Place | null): Scope | null {
  switch (place?.type) {
    case 'page':
    case 'branch': {
      const page = site.kinds.page.get(place.page);
      return page ? pageScope(site, page) : null;
    }
    case 'section': {
      const above = site.kinds.section.get(place.section)?.at.parent ?? '';
      const page = site.kinds.page.has(above) ? above : settingsOf(site).home;
      return nodeScope(site, page, place.section);
    }
    default:
      return null;
  }
}

/** Scope of an element of the guide as it would be where a place holds; `scheme` where the place has none of its own. */
export function placedScope(
  site: Site,
  element: ElementType,
  scheme: Id,
  variants: Readonly<Record<string, Id>>,
  place: Place | null,
): Scope {
  const around = surroundingsOf(site, place);
  if (!around) return specimenScope(element, scheme, variants, place);
  if (element === around.element) return { ...around, variants };
  const parent = { scope: around, part: around.element.holds ?? 'box' };
  return { ...around, node: null, element, variants, wears: {}, parent };
}

/**
 * Scope of an element that stands on no site page: alone on a bare page that wears the scheme. With a place that is no
 * thing of the site (an area, a kind of page, long-form text) it is asked what would hold there; with a preset, in that.
 */
export function specimenScope(
  element: ElementType,
  scheme: Id,
  variants: Readonly<Record<string, Id>>,
  place: Place | null = null,
  preset: Id | null = null,
): Scope {
  const wears: Scope['wears'] = preset === null ? {} : { [preset]: { preset, order: 'V', on: true } };
  const pageKind = place?.type === 'pageKind' ? place.pageKind : 'page';
  const bare = {
    node: null,
    page: place?.type === 'area' || place?.type === 'pageKind' ? anyPage(pageKind) : null,
    section: null,
    area: place?.type === 'area' ? place.area : 'main',
    pageKind,
    branch: [],
    longForm: place?.type === 'longForm',
    scheme: place?.type === 'scheme' ? place.scheme : scheme,
    wearer: scheme,
    rebinds: NO_REBINDS,
    wears: {},
    over: null,
  } as const;
  const page: Scope = { ...bare, element: elementNamed('page'), variants: {}, parent: null };
  if (element.name === 'page') return page;
  const around: Scope = {
    ...bare,
    element: elementNamed(element.onlyIn?.[0] ?? 'page'),
    variants: {},
    parent: { scope: page, part: 'box' },
  };
  const scope = element.onlyIn ? around : page;
  return { ...bare, element, variants, wears, parent: { scope, part: scope.element.holds ?? 'box' } };
}
