import { movementsIn, printKeyframes } from '../properties/index.ts';
import { type AssetRecord, type PageRecord, type Site, settingsOf } from '../site/index.ts';
import type { ElementType } from '../widgets/index.ts';
import { type Head, printDocument } from './document.ts';
import { fingerprint } from './fingerprint.ts';
import { fontsIn, printFontFaces } from './fonts.ts';
import { escapeHtml } from './html.ts';
import { pageFolder, pagesInOrder, toRoot } from './links.ts';
import { renderPage, variablesIn } from './renderedPage.ts';
import { BASE_CSS, type Printing, printElementBases, printLayerOrder } from './rules.ts';
import { structuredDataOf } from './structuredData.ts';
import { type Block, guideRules, printBlock, printRules, rootBlock, schemeBlocks } from './stylesheet.ts';
import { type Unrenderable, unrenderable } from './unrenderable.ts';

export interface PublishedSite {
  /** Path below the site's root, and text. */
  files: ReadonlyMap<string, string>;
  assets: readonly AssetRecord[];
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

/** Custom properties asked for, and those that they ask for in turn. */
function withAsked(asked: Iterable<string>, blocks: readonly Block[]): Set<string> {
  const texts = new Map<string, string[]>();
  for (const { declarations } of blocks)
    for (const [name, text] of declarations) texts.set(name, [...(texts.get(name) ?? []), text]);
  const used = new Set(asked);
  for (const name of used)
    for (const text of texts.get(name) ?? []) for (const it of variablesIn(text)) used.add(it);
  return used;
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

/** As seen from the sheet that all pages share, which lies at the root. */
const SHARED: Printing = { mode: 'published', assetUrl: ({ file }) => `assets/${file}` };

/**
 * The whole site as plain files. One sheet of the guide is shared by all pages and holds only the rules they use; a page
 * that sets something itself has a sheet of its own beside it. A page on which nothing has changed is not rendered again.
 */
export function publishSite(site: Site): PublishedSite {
  const { language, name, tabIcon, address } = settingsOf(site);
  const published = pagesInOrder(site).filter(page => !page.off);
  const problems: Unrenderable[] = [];
  const pages = published.flatMap(page => {
    try {
      const made = renderPage(site, page);
      problems.push(...made.problems);
      return [made];
    } catch (error) {
      problems.push(unrenderable(page, error));
      return [];
    }
  });
  const icon = site.kinds.asset.get(tabIcon ?? '');
  const pictureOf = (page: PageRecord) => site.kinds.asset.get(page.sharePicture ?? '');
  const used = union(pages.map(it => it.classes));
  const slanted = pages.some(it => it.tags.has('em'));
  const shared = guideRules(site, SHARED, used);
  const ranks = [...pages.flatMap(it => it.ranks), ...shared];
  const guideCss = printRules(site, shared, 'published');
  const assets = union<AssetRecord>([
    ...pages.map(it => it.assets),
    [...site.kinds.asset.values()].filter(({ file }) => guideCss.includes(file)),
    icon ? [icon] : [],
    address === undefined ? [] : published.flatMap(page => pictureOf(page) ?? []),
  ]);
  const blocks = [
    rootBlock(site, 'published'),
    ...schemeBlocks(site).filter(({ selector }) => used.has(selector.slice(1))),
  ];
  const variables = withAsked(union([variablesIn(guideCss + BASE_CSS), ...pages.map(it => it.variables)]), [
    ...blocks,
    ...pages.flatMap(it => it.rebinds),
  ]);
  const trim = ({ selector, declarations }: Block): Block => ({
    selector,
    declarations: declarations.filter(([it]) => variables.has(it)),
  });
  const print = (it: readonly Block[]) => it.map(trim).map(printBlock).join('\n');
  const tokens = print(blocks);
  const sheets = pages.map(({ rebinds, own }) => [print(rebinds), own].filter(Boolean).join('\n'));
  const fonts = fontsIn(site, tokens + guideCss + sheets.join(''), slanted);
  const guide = [
    printFontFaces(fonts, ({ file }) => `fonts/${file}`),
    printLayerOrder(ranks),
    BASE_CSS,
    printElementBases(used, 'published'),
    tokens,
    guideCss,
    printKeyframes([...movementsIn(guideCss), ...pages.flatMap(it => it.movements)]),
  ]
    .filter(Boolean)
    .join('\n');
  const guideFile = `guide-${fingerprint(guide)}.css`;

  const shareOf = (page: PageRecord) => {
    const picture = pictureOf(page);
    return picture && { href: `${address}/assets/${picture.file}`, alt: picture.alt };
  };
  const files = new Map([[guideFile, guide]]);
  if (address !== undefined) {
    const indexed = published.filter(page => !page.unindexed);
    files.set('sitemap.xml', printSitemap(indexed.map(page => `${address}/${pageFolder(site, page)}`)));
    files.set('robots.txt', `User-agent: *\nAllow: /\nSitemap: ${address}/sitemap.xml\n`);
  }
  const modules = new Map(
    [...union<ElementType>(pages.map(it => it.behaviours))].map(element => [element, moduleFile(element)]),
  );
  for (const [element, file] of modules) files.set(file, element.behaviour ?? '');
  for (const [i, { page, html, behaviours }] of pages.entries()) {
    const root = toRoot(site, page);
    const addresses = [`${root}${guideFile}`];
    const css = sheets[i];
    if (css) {
      const file = `page-${fingerprint(css)}.css`;
      files.set(pageFolder(site, page) + file, css);
      addresses.push(file);
    }
    const preload = fonts
      .filter(({ file }) => file.cut === 'normal' && file.format === 'woff2')
      .map(({ file }) => `${root}fonts/${file.file}`);
    const title = page.path === '' ? name : `${page.title} – ${name}`;
    files.set(
      `${pageFolder(site, page)}index.html`,
      documentOf(
        {
          language,
          title,
          description: page.description,
          sheets: addresses,
          preload,
          modules: behaviours.map(it => `${root}${modules.get(it)}`),
          unindexed: page.unindexed === true,
          icon: icon && { href: `${root}assets/${icon.file}`, type: icon.mime },
          address: address === undefined ? undefined : `${address}/${pageFolder(site, page)}`,
          sharePicture: shareOf(page),
          data: address === undefined ? [] : structuredDataOf(site, page, address),
        },
        html,
        page,
      ),
    );
  }
  return { files, assets: [...assets], fonts: fonts.map(({ file }) => file.file), problems };
}
