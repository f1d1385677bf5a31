import { movementsIn, printKeyframes } from '../properties/index.ts';
import type { AssetRecord, Site } from '../site/index.ts';
import { fontsIn, printFontFaces, type UsedFont } from './fonts.ts';
import { type RenderedPage, variablesIn } from './renderedPage.ts';
import { baseCss, type Printing, printElementBases, printLayerOrder } from './rules.ts';
import { type Block, guideRules, printBlock, printRules } from './stylesheet.ts';

/** The style sheet of a published page, which stands within it. */
export interface PageSheet {
  css: string;
  fonts: readonly UsedFont[];
  /** Pictures that the guide's rules show. */
  assets: readonly AssetRecord[];
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

const printings = new Map<string, Printing>();
/** Pages lie some levels deep, and the page for what is not found names its host. */
const MOST_ROOTS = 12;

/** How pages print that lie as deep; one object each, since what is printed alike is kept. */
function printingFrom(root: string): Printing {
  const known = printings.get(root);
  if (known) return known;
  if (printings.size >= MOST_ROOTS) printings.clear();
  const printing: Printing = { mode: 'published', assetUrl: ({ file }) => `${root}assets/${file}` };
  printings.set(root, printing);
  return printing;
}

const known = new WeakMap<RenderedPage, { root: string; sheet: PageSheet }>();

/**
 * Only what the page uses of the program and the guide, and what it sets itself; the very one from before where nothing it is
 * made of has changed. `root` leads from the page to the site's root, `blocks` are those of the site.
 */
export function pageSheet(site: Site, page: RenderedPage, root: string, blocks: readonly Block[]): PageSheet {
  const there = known.get(page);
  if (there?.root === root) return there.sheet;
  const { classes, rebinds, own } = page;
  const rules = guideRules(site, printingFrom(root), classes);
  const guide = printRules(site, rules, 'published');
  const base = baseCss('published');
  /** A block of a scheme that something on the page wears, or of none. */
  const isWorn = ({ selector }: Block) =>
    Array.from(selector.matchAll(/\.(s-[\w-]+)/g), match => match[1] ?? '').every(it => classes.has(it));
  const [shown, bound] = [blocks.filter(isWorn), rebinds.filter(isWorn)];
  const variables = withAsked([...variablesIn(guide + base), ...page.variables], [...shown, ...bound]);
  const print = (some: readonly Block[]) =>
    some
      .map(it => ({
        ...it,
        declarations: it.declarations.filter(([name]) => !name.startsWith('--') || variables.has(name)),
      }))
      .filter(({ gamut, face, declarations }) => (gamut ?? face) === undefined || declarations.length > 0)
      .map(printBlock)
      .join('\n');
  const tokens = print(shown);
  const rebound = print(bound);
  const fonts = fontsIn(site, tokens + guide + rebound + own, page.tags.has('em'));
  const css = [
    printFontFaces(fonts, ({ file }) => `${root}fonts/${file}`),
    printLayerOrder([...page.ranks, ...rules]),
    base,
    printElementBases(classes, 'published'),
    tokens,
    guide,
    rebound,
    own,
    printKeyframes([...movementsIn(guide), ...page.movements]),
  ]
    .filter(Boolean)
    .join('\n');
  const files = new Set(Array.from(guide.matchAll(/assets\/([\w.-]+)/g), match => match[1] ?? ''));
  const assets = [...site.kinds.asset.values()].filter(({ file }) => files.has(file));
  const sheet = { css, fonts, assets };
  known.set(page, { root, sheet });
  return sheet;
}
