import { EXPORTS, EXPORTS_FOLDER } from '../exports/index.ts';
import { type Rendition, shareRendition, tabIcons } from '../renditions/index.ts';
import { type AssetRecord, type PageRecord, type Site, settingsOf } from '../site/index.ts';
import type { ElementType } from '../widgets/index.ts';
import { type Head, type HeadIcon, printDocument } from './document.ts';
import { fingerprint } from './fingerprint.ts';
import { escapeHtml } from './html.ts';
import { pageFolder, pagesInOrder, toRoot } from './links.ts';
import { NOT_FOUND_FILE, renderNotFound } from './notFound.ts';
import { pageSheet } from './pageSheet.ts';
import { type RenderedPage, renderPage } from './renderedPage.ts';
import { structuredDataOf } from './structuredData.ts';
import { publishedBlocks } from './stylesheet.ts';
import { type Unrenderable, unrenderable } from './unrenderable.ts';

export interface PublishedSite {
  /** Path below the site's root, and text. */
  files: ReadonlyMap<string, string>;
  assets: readonly AssetRecord[];
  /** Pictures to be made in other sizes and formats, and laid beside them. */
  renditions: readonly Rendition[];
  /** Font files, to be copied into `fonts/`. */
  fonts: readonly string[];
  /** What could not be rendered; the pages that hold it are left out, or shown without it. */
  problems: readonly Unrenderable[];
}

/** All that is in any of several collections; one that many share is looked at once. */
function union<T>(all: Iterable<Iterable<T>>): Set<T> {
  const union = new Set<T>();
  for (const some of new Set(all)) for (const it of some) union.add(it);
  return union;
}

const documents = new WeakMap<PageRecord, { head: string; html: string; text: string }>();

/** The document of a page; the very one from before where neither its head nor its body differs. */
function documentOf(head: Head, html: string, page: PageRecord): string {
  const key = JSON.stringify(head);
  const known = documents.get(page);
  if (known?.head === key && known.html === html) return known.text;
  const text = printDocument(head, html);
  documents.set(page, { head: key, html, text });
  return text;
}

/** Pages that search engines may read (sitemaps.org, version 0.9). */
const printSitemap = (addresses: readonly string[]): string =>
  [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">',
    ...addresses.map(it => `<url><loc>${escapeHtml(it)}</loc></url>`),
    '</urlset>',
    '',
  ].join('\n');

/** Folder of the modules below a site’s root, which is where its host lets scripts run from. */
const MODULES = 'behaviours';
const moduleFile = ({ name, behaviour = '' }: ElementType): string =>
  `${MODULES}/${name}-${fingerprint(behaviour)}.js`;

/** An icon in the sizes that browsers ask for; a drawing serves all of them. */
function iconsOf(icon: AssetRecord, root: string): HeadIcon[] {
  const made = tabIcons(icon);
  if (made.length === 0)
    return [{ rel: 'icon', href: `${root}assets/${icon.file}`, type: icon.mime, sizes: null }];
  return made.map(({ file, width }, i) => ({
    rel: i === 0 ? 'icon' : 'apple-touch-icon',
    href: `${root}assets/${file}`,
    type: 'image/png',
    sizes: `${width}x${width}`,
  }));
}

/** Where the root of a site is found on its host, as a path with a slash at its end. */
const pathOf = (address: string | undefined): string =>
  address === undefined ? '/' : `${new URL(address).pathname.replace(/\/$/, '')}/`;

/**
 * The whole site as plain files. Each page holds the rules that it uses, so that it is painted as soon as it has come. A page
 * on which nothing has changed is not rendered again. The page for what is not found is shown at any address, and so names the site’s root by its path on the host: `base`, or what
 * the site’s own address says.
 */
export function publishSite(site: Site, base?: string): PublishedSite {
  const { language, name, tabIcon, address, openGuide } = settingsOf(site);
  const hostRoot = base ?? pathOf(address);
  const published = pagesInOrder(site).filter(page => !page.off && page.pageKind !== 'notFound');
  const problems: Unrenderable[] = [];
  const rendered = (page: PageRecord | null, make: () => RenderedPage): RenderedPage[] => {
    try {
      const made = make();
      problems.push(...made.problems);
      return [made];
    } catch (error) {
      // Without a page of its own for what is not found, the host says so in its own words.
      if (page) problems.push(unrenderable(page, error));
      return [];
    }
  };
  const notFound = rendered(null, () => renderNotFound(site, hostRoot));
  const pages = [...published.flatMap(page => rendered(page, () => renderPage(site, page))), ...notFound];
  const icon = site.kinds.asset.get(tabIcon ?? '');
  const pictureOf = (page: PageRecord) => site.kinds.asset.get(page.sharePicture ?? '');
  const icons = icon ? tabIcons(icon) : [];
  const shareOf = (page: PageRecord) => {
    const picture = address === undefined ? undefined : pictureOf(page);
    const made = picture && shareRendition(picture);
    return (
      picture && {
        href: `${address}/assets/${made?.file ?? picture.file}`,
        alt: picture.alt,
        ...(made && { rendition: made }),
      }
    );
  };
  const blocks = publishedBlocks(site);
  const laid = pages.map(page => {
    const isMissing = page === notFound[0];
    const folder = isMissing ? '' : pageFolder(site, page.page);
    const root = isMissing ? hostRoot : toRoot(site, page.page);
    return { ...page, isMissing, folder, root, sheet: pageSheet(site, page, root, blocks) };
  });
  const assets = union<AssetRecord>([
    ...pages.map(it => it.assets),
    ...laid.map(it => it.sheet.assets),
    icon && icons.length === 0 ? [icon] : [],
    address === undefined
      ? []
      : published.flatMap(page => (shareOf(page)?.rendition ? [] : (pictureOf(page) ?? []))),
  ]);
  const renditions = new Map(
    [
      ...pages.flatMap(it => it.renditions),
      ...icons,
      ...published.flatMap(page => shareOf(page)?.rendition ?? []),
    ].map(it => [it.file, it]),
  );
  const files = new Map<string, string>();
  for (const it of EXPORTS) files.set(`${EXPORTS_FOLDER}/${it.file}`, it.print(site));
  if (openGuide) files.set(`${EXPORTS_FOLDER}/access.json`, `${JSON.stringify({ origins: '*' })}\n`);
  if (address !== undefined) {
    const indexed = published.filter(page => !page.unindexed);
    files.set('sitemap.xml', printSitemap(indexed.map(page => `${address}/${pageFolder(site, page)}`)));
    files.set('robots.txt', `User-agent: *\nAllow: /\nSitemap: ${address}/sitemap.xml\n`);
  }
  const modules = new Map(
    [...union<ElementType>(pages.map(it => it.behaviours))].map(element => [element, moduleFile(element)]),
  );
  for (const [element, file] of modules) files.set(file, element.behaviour ?? '');
  for (const { page, html, behaviours, isMissing, folder, root, sheet } of laid) {
    const preload = sheet.fonts
      .filter(({ file }) => file.cut === 'normal' && file.format === 'woff2')
      .map(({ file }) => `${root}fonts/${file.file}`);
    const title = page.path === '' && !isMissing ? name : `${page.title} – ${name}`;
    const found = address === undefined || isMissing ? undefined : `${address}/${folder}`;
    files.set(
      isMissing ? NOT_FOUND_FILE : `${folder}index.html`,
      documentOf(
        {
          language,
          title,
          description: page.description,
          css: sheet.css,
          preload,
          modules: behaviours.map(it => `${root}${modules.get(it)}`),
          unindexed: page.unindexed === true || isMissing,
          icons: icon ? iconsOf(icon, root) : [],
          address: found,
          sharePicture: shareOf(page),
          data: address === undefined || isMissing ? [] : structuredDataOf(site, page, address),
        },
        html,
        page,
      ),
    );
  }
  return {
    files,
    assets: [...assets],
    renditions: [...renditions.values()],
    fonts: [...union(laid.map(it => it.sheet.fonts.map(({ file }) => file.file)))],
    problems,
  };
}
