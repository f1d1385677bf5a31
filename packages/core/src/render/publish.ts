import type { Rank } from '../cascade/index.ts';
import { type AssetRecord, type PageRecord, type Site, settingsOf } from '../site/index.ts';
import { classNamesIn, renderBody, tagsIn } from './body.ts';
import { printDocument } from './document.ts';
import { fontsIn, printFontFaces } from './fonts.ts';
import type { HtmlElement } from './html.ts';
import { pageFolder, pagesInOrder, toRoot } from './links.ts';
import { BASE_CSS, printLayerOrder } from './rules.ts';
import {
  type Block,
  guideRules,
  nodesOn,
  ownRules,
  printBlock,
  printRules,
  rebindBlocks,
  rootBlock,
  schemeBlocks,
} from './stylesheet.ts';

export interface PublishedSite {
  /** Path below the site's root, and text. */
  files: ReadonlyMap<string, string>;
  assets: readonly AssetRecord[];
  /** Font files, to be copied into `fonts/`. */
  fonts: readonly string[];
}

/** Short name of a text, so that a sheet's address changes with what it says (FNV-1a, 32 bits). */
function fingerprint(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** Custom properties that a text asks for, and those that they ask for in turn. */
function usedVariables(css: readonly string[], blocks: readonly Block[]): Set<string> {
  const texts = new Map<string, string[]>();
  for (const { declarations } of blocks)
    for (const [name, text] of declarations) texts.set(name, [...(texts.get(name) ?? []), text]);
  const used = new Set<string>();
  const scan = (text: string) => {
    for (const match of text.matchAll(/var\((--[\w-]+)\)/g)) used.add(match[1] ?? '');
  };
  css.forEach(scan);
  for (const name of used) texts.get(name)?.forEach(scan);
  return used;
}

interface Made {
  page: PageRecord;
  body: HtmlElement;
  own: string;
  rebinds: Block[];
}

/**
 * The whole site as plain files. One sheet of the guide is shared by all pages and holds only the rules they use; a page
 * that sets something itself has a sheet of its own beside it. `onPage` is told after each page, for a progress bar.
 */
export function publishSite(
  site: Site,
  onPage: (done: number, total: number) => void = () => {},
): PublishedSite {
  const { language, name } = settingsOf(site);
  const pages = pagesInOrder(site);
  const used = new Set<string>();
  const tags = new Set<string>();
  const assets = new Map<string, AssetRecord>();
  const ranks: Rank[] = [];
  const made: Made[] = pages.map((page, i) => {
    const root = toRoot(site, page);
    const assetUrl = (asset: AssetRecord) => {
      assets.set(asset.id, asset);
      return `${root}assets/${asset.file}`;
    };
    const body = renderBody(site, page, { marks: false, links: true, assetUrl });
    classNamesIn(body, used);
    tagsIn(body, tags);
    const rules = ownRules(site, nodesOn(site, page), 'published');
    ranks.push(...rules);
    onPage(i + 1, pages.length);
    return { page, body, own: printRules(site, rules, 'published'), rebinds: rebindBlocks(site, page) };
  });

  const shared = guideRules(site, 'published', used);
  ranks.push(...shared);
  const guideCss = printRules(site, shared, 'published');
  const blocks = [
    rootBlock(site, 'published'),
    ...schemeBlocks(site).filter(({ selector }) => used.has(selector.slice(1))),
  ];
  const variables = usedVariables(
    [guideCss, BASE_CSS, ...made.map(it => it.own)],
    [...blocks, ...made.flatMap(it => it.rebinds)],
  );
  const trim = ({ selector, declarations }: Block): Block => ({
    selector,
    declarations: declarations.filter(([it]) => variables.has(it)),
  });
  const tokens = blocks.map(trim).map(printBlock).join('\n');
  const fonts = fontsIn(
    tokens + guideCss + made.map(it => it.own + it.rebinds.map(trim).map(printBlock).join('')).join(''),
    tags.has('em'),
  );
  const guide = [printFontFaces(fonts, 'fonts/'), printLayerOrder(ranks), BASE_CSS, tokens, guideCss].join(
    '\n',
  );
  const guideFile = `guide-${fingerprint(guide)}.css`;

  const files = new Map([[guideFile, guide]]);
  for (const { page, body, own, rebinds } of made) {
    const root = toRoot(site, page);
    const sheets = [`${root}${guideFile}`];
    const css = [...rebinds.map(trim).map(printBlock), own].filter(Boolean).join('\n');
    if (css) {
      const file = `page-${fingerprint(css)}.css`;
      files.set(pageFolder(site, page) + file, css);
      sheets.push(file);
    }
    const preload = fonts.filter(font => font.cut === 'normal').map(font => `${root}fonts/${font.file}`);
    const title = page.path === '' ? name : `${page.title} – ${name}`;
    files.set(
      `${pageFolder(site, page)}index.html`,
      printDocument({ language, title, description: page.description, sheets, preload }, body),
    );
  }
  return { files, assets: [...assets.values()], fonts: fonts.map(font => font.file) };
}
