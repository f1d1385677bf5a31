import { branchOf, nodeScope, type Rank, wordsOf } from '../cascade/index.ts';
import { LIMITS } from '../limits/index.ts';
import { Rooms } from '../measure/index.ts';
import { type MovementName, movementsIn } from '../properties/index.ts';
import type { Rendition } from '../renditions/index.ts';
import {
  AREAS,
  type AssetRecord,
  elementOfNode,
  headerKindOf,
  type NodeRecord,
  type PageRecord,
  type Site,
} from '../site/index.ts';
import type { ElementType } from '../widgets/index.ts';
import { classNamesIn, renderBody, tagsIn } from './body.ts';
import { withFirstPicture } from './firstPicture.ts';
import { type HtmlElement, printHtml } from './html.ts';
import { interned } from './interned.ts';
import { toRoot } from './links.ts';
import { isLinked, sectionsIn } from './markup.ts';
import { Reads, same } from './reads.ts';
import { OWN } from './sources.ts';
import { type Block, nodesOn, onEveryScreen, ownRules, printRules, rebindBlocks } from './stylesheet.ts';
import { hiddenByDepth, nameOfNode, type Unrenderable } from './unrenderable.ts';

/** What a page comes to by itself, before it is put together with the others. */
export interface RenderedPage {
  page: PageRecord;
  /** Its body, printed. */
  html: string;
  /** Classes under which the program and the guide speak of what is on it. */
  classes: ReadonlySet<string>;
  tags: ReadonlySet<string>;
  assets: readonly AssetRecord[];
  /** Sizes and formats that its pictures are asked for in. */
  renditions: readonly Rendition[];
  /** Its own rules, and their ranks. */
  own: string;
  ranks: readonly Rank[];
  rebinds: readonly Block[];
  /** Movements that its own rules name. */
  movements: readonly MovementName[];
  /** Custom properties that its own rules ask for. */
  variables: ReadonlySet<string>;
  /** Elements on it that come with a published module. */
  behaviours: readonly ElementType[];
  /** What of it is not shown. */
  problems: readonly Unrenderable[];
}

/** Names of the custom properties that a text asks for. */
export const variablesIn = (css: string): Set<string> =>
  new Set(Array.from(css.matchAll(/var\((--[\w-]+)\)/g), match => match[1] ?? ''));

/** What a page is made of but other pages: the guide, the pages it stands below, and the things that stand on it. */
function inputsOf(site: Site, page: PageRecord, nodes: readonly NodeRecord[], linked: string): unknown[] {
  const { section: _, widget: __, page: pages, ...shared } = site.kinds;
  const above = branchOf(site, page).map(id => pages.get(id));
  return [linked, ...Object.values(shared), ...above, ...nodes];
}

interface Known {
  inputs: readonly unknown[];
  /** What it shows of other pages, and the pages of which that was last found to hold. */
  reads: Reads;
  pages: Site['kinds']['page'];
  children: Site['children'];
  made: RenderedPage;
}
const rendered = new WeakMap<PageRecord, Known>();

/** Whether what a page shows of others is as it was; asked once for each state of the pages. */
function readsHold(known: Known, site: Site): boolean {
  if (known.pages === site.kinds.page && known.children === site.children) return true;
  if (!known.reads.hold(site)) return false;
  known.pages = site.kinds.page;
  known.children = site.children;
  return true;
}

/** Whether a thing on a page does what takes a script, as it is now. */
function needsBehaviour(site: Site, page: PageRecord, node: NodeRecord): boolean {
  const { behaviour, needsBehaviour: asks } = elementOfNode(node);
  if (behaviour === undefined || !asks) return behaviour !== undefined;
  const scope = nodeScope(site, page.id, node.id);
  const { headerScrolls, headerColors } = headerKindOf(site, page);
  return asks(
    node.kind === 'widget' ? node.content : {},
    (part, property) => (scope ? wordsOf(site, scope, part, property) : []),
    { headerFollows: headerScrolls !== 'withPage' || headerColors === 'sectionBeneath' },
  );
}

/** The same with links that lead on from a base instead of from where the page lies. */
function rebased(it: HtmlElement, base: string): HtmlElement {
  const { href } = it.attrs;
  const isRelative = typeof href === 'string' && !/^([a-z][a-z0-9+.-]*:|[/#])/i.test(href);
  return {
    ...it,
    attrs: isRelative ? { ...it.attrs, href: base + href.replace(/^\.\//, '') } : it.attrs,
    children: it.children.map(child => (typeof child === 'string' ? child : rebased(child, base))),
  };
}

/**
 * Renders a page; answers with what was made before where nothing it is made of has changed. A `base` is put before all that
 * lies below the site’s root, of a page that is shown at any address.
 */
export function renderPage(site: Site, page: PageRecord, base?: string): RenderedPage {
  const nodes = nodesOn(site, page);
  const linked = nodes
    .filter(node => node.kind === 'section' && isLinked(site, node.id))
    .map(node => node.id);
  const inputs = inputsOf(site, page, nodes, linked.join(' '));
  const known = rendered.get(page);
  if (known && same(known.inputs, inputs) && readsHold(known, site)) return known.made;
  const reads = new Reads();
  const root = base ?? toRoot(site, page);
  const assets = new Set<AssetRecord>();
  const assetUrl = (asset: AssetRecord) => {
    assets.add(asset);
    return `${root}assets/${asset.file}`;
  };
  const renditions = new Map<string, Rendition>();
  const url = (rendition: Rendition) => {
    renditions.set(rendition.file, rendition);
    return `${root}assets/${rendition.file}`;
  };
  const sizes = { rooms: new Rooms(site), url };
  const fromHere = renderBody(site, page, { marks: false, links: true, assetUrl, sizes, reads });
  const body = withFirstPicture(base === undefined ? fromHere : rebased(fromHere, base));
  const rules = ownRules(site, nodes, { mode: 'published', assetUrl });
  const own = printRules(site, rules, 'published');
  const made: RenderedPage = {
    page,
    html: printHtml(body),
    classes: interned(new Set([...classNamesIn(body)].filter(it => !it.startsWith(OWN)))),
    tags: interned(tagsIn(body)),
    assets: [...assets],
    renditions: [...renditions.values()],
    own,
    ranks: rules,
    rebinds: onEveryScreen(site, gamut => rebindBlocks(site, page, gamut)),
    movements: movementsIn(own),
    variables: interned(variablesIn(own)),
    behaviours: [...new Set(nodes.filter(it => needsBehaviour(site, page, it)).map(elementOfNode))],
    problems: hiddenByDepth(
      site,
      AREAS.flatMap(area => sectionsIn(site, page.id, area)),
      LIMITS.nesting,
    ).map(node => ({
      page: page.id,
      title: page.title,
      node: node.id,
      name: nameOfNode(node),
      reason: `It stands more than ${LIMITS.nesting} deep, one thing within another.`,
    })),
  };
  rendered.set(page, { inputs, reads, pages: site.kinds.page, children: site.children, made });
  return made;
}
