import { isSpokenOf, respondsToPointer, type Scope } from '../cascade/index.ts';
import type { Content } from '../content/index.ts';
import type { Rooms } from '../measure/index.ts';
import { type PhraseName, phraseIn } from '../phrases/index.ts';
import { type Rendition, sizesOfPicture } from '../renditions/index.ts';
import {
  type AssetRecord,
  type Id,
  isFileType,
  nodesUnder,
  type PageRecord,
  type Site,
  settingsOf,
} from '../site/index.ts';
import { isItem, type MarkupContext, type PageBranch } from '../widgets/index.ts';
import { drawnSvg } from './drawings.ts';
import { homePage, linkHref, pageFolder, pageHref, pagesOfBranch } from './links.ts';
import { Reads } from './reads.ts';

export interface MarkupOptions {
  /** Marks every part with its node and name, for the canvas; never in what is published. */
  marks: boolean;
  assetUrl(asset: AssetRecord): string;
  /** Links lead nowhere where a page is edited. */
  links: boolean;
  /** Whether it is only looked at, so that nothing in it takes the focus. */
  noTabStops?: boolean;
  /** Things that stand open because something in them is being edited, or all of them; never in what is published. */
  open?: ReadonlySet<Id> | 'all';
  /** Pictures in several sizes, where what is made is published: how wide each is drawn, and the address of a size. */
  sizes?: { rooms: Rooms; url(rendition: Rendition): string };
  /** Remembers what is asked of other pages, where what is made is to be kept. */
  reads?: Reads;
  /** Of what stands on no page: what tells it from others beside it, and what holds it. */
  sample?: { readonly id: string; readonly of?: string; readonly index?: number };
}

/** Id of a part of one instance in its page; what links lead to keeps it while the record is there. */
const partId = (instance: string, name: string): string =>
  name === '' ? `w-${instance}` : `w-${instance}-${name}`;

/** What stands around a widget that makes its markup, and in it. */
export interface Around {
  /** Whether anything stands in it. */
  holdsAny: boolean;
  /** What its holder says. */
  holder: Readonly<Record<string, Content>>;
  /** Its number in its holder. */
  index(): number;
  /** What names one that is made of what the site says, and has no record. */
  made?: string;
}

/** What an item is told of its holder. */
function itemIn(
  site: Site,
  { element, node, parent }: Scope,
  { sample, open }: MarkupOptions,
  { holder, index }: Around,
): MarkupContext['item'] {
  if (!isItem(element)) return null;
  const record = parent?.scope.node;
  const instance = node && record ? record.id : (sample?.of ?? SAMPLE);
  return {
    holder,
    index,
    openIndex() {
      if (!node || !record || open === undefined || open === 'all') return null;
      const found = nodesUnder(site, record.id).findIndex(id => open.has(id));
      return found < 0 ? null : found;
    },
    holderId: name => partId(instance, name),
  };
}
/** What stands on no page, where nothing tells it from others. */
export const SAMPLE = 'sample';

/** What the program says itself on the pages of a site. */
export function phraseOf(site: Site, name: PhraseName): string {
  const { language, phrases } = settingsOf(site);
  return phrases?.[name] ?? phraseIn(language, name);
}

/** What a widget may ask while it makes its markup. */
export function markupContext(
  site: Site,
  scope: Scope,
  options: MarkupOptions,
  around: Around,
): MarkupContext {
  const { page, node } = scope;
  const reads = options.reads ?? new Reads();
  /** The page being made, as it is in a site. */
  const here = (it: Site) => page && (it.kinds.page.get(page.id) ?? page);
  return {
    id: name => partId(around.made ?? node?.id ?? options.sample?.id ?? SAMPLE, name),
    item: itemIn(site, scope, options, around),
    holdsAny: around.holdsAny,
    isOpen: options.open === 'all' || (node !== null && options.open?.has(node.id) === true),
    href: link => {
      if (!page || !options.links) return '#';
      const file = link.type === 'file' ? site.kinds.asset.get(link.asset) : undefined;
      if (file) return options.assetUrl(file);
      return reads.ask(site, it => [linkHref(it, here(it) ?? page, link)] as const)[0];
    },
    isCurrent: link => link.type === 'page' && link.page === page?.id,
    // A page is made anew with any of those that it stands below, so nothing is to be remembered.
    isAbove: link => link.type === 'page' && link.page !== page?.id && scope.branch.includes(link.page),
    asset: id => {
      const asset = site.kinds.asset.get(id);
      return asset && !isFileType(asset.mime) ? asset : null;
    },
    drawing: name => drawnSvg(site, name),
    assetUrl: options.assetUrl,
    sources(asset, part) {
      const { sizes } = options;
      const found = sizes && sizesOfPicture(asset);
      if (!sizes || !found) return null;
      const list = (some: readonly Rendition[]) => some.map(it => `${sizes.url(it)} ${it.width}w`).join(', ');
      return {
        modern: { type: 'image/avif', srcset: list(found.modern) },
        srcset: `${list(found.usual)}, ${this.assetUrl(asset)} ${asset.width}w`,
        sizes: sizes.rooms.sizes(scope, part, asset),
      };
    },
    speaks: part => isSpokenOf(site, scope, part),
    get responds() {
      return options.sizes !== undefined && respondsToPointer(site, scope);
    },
    phrase: name => phraseOf(site, name),
    siteName: settingsOf(site).name,
    get logo() {
      const { logo, darkLogo } = settingsOf(site);
      const isDark = site.kinds.scheme.get(scope.scheme)?.face === 'dark';
      return site.kinds.asset.get((isDark ? (darkLogo ?? logo) : logo) ?? '') ?? null;
    },
    language: settingsOf(site).language,
    awayInNewTab: settingsOf(site).awayInNewTab === true,
    get homeHref() {
      if (!page || !options.links) return '#';
      return reads.ask(site, it => {
        const home = homePage(it);
        return [home ? pageHref(it, here(it) ?? page, home) : '#'] as const;
      })[0];
    },
    page: page?.id ?? null,
    pages: (branch, what = 'all') => {
      reads.ask(site, it => (what === 'all' ? branchRead(it, branch) : namesRead(it, branch)));
      return pagesOfBranch(site, branch).map(it => ({
        id: it.id,
        title: it.shortName ?? it.title,
        href: page && options.links ? pageHref(site, page, it) : '#',
        current: it.id === page?.id,
        description: it.description,
        icon: it.icon ?? null,
        picture: site.kinds.asset.get(it.sharePicture ?? '') ?? null,
      }));
    },
  };
}

/** The folder that the pages of a branch lie in. */
function folderOf(site: Site, [first]: readonly PageRecord[]): string {
  const parent = site.kinds.page.get(first?.at.parent ?? '');
  return parent ? pageFolder(site, parent) : '';
}

/** All that a list of a branch shows: its pages, and the folder that they lie in. */
function branchRead(site: Site, branch: PageBranch): readonly unknown[] {
  const pages = pagesOfBranch(site, branch);
  return [folderOf(site, pages), ...pages];
}

/** As much of it as names them and leads to them. */
function namesRead(site: Site, branch: PageBranch): readonly unknown[] {
  const pages = pagesOfBranch(site, branch);
  return [
    folderOf(site, pages),
    ...pages.flatMap(({ id, title, shortName, path, icon }) => [id, shortName ?? title, path, icon]),
  ];
}
