import type { Rank } from '../cascade/index.ts';
import { LIMITS } from '../limits/index.ts';
import { type MovementName, movementsIn } from '../properties/index.ts';
import {
  AREAS,
  type AssetRecord,
  elementOfNode,
  type NodeRecord,
  type PageRecord,
  type Site,
} from '../site/index.ts';
import type { ElementType } from '../widgets/index.ts';
import { classNamesIn, renderBody, tagsIn } from './body.ts';
import { printHtml } from './html.ts';
import { toRoot } from './links.ts';
import { isLinked, sectionsIn } from './markup.ts';
import { type Block, nodesOn, ownRules, printRules, rebindBlocks } from './stylesheet.ts';
import { hiddenByDepth, nameOfNode, type Unrenderable } from './unrenderable.ts';

/** What a page comes to by itself, before it is put together with the others. */
export interface RenderedPage {
  page: PageRecord;
  /** Its body, printed. */
  html: string;
  classes: ReadonlySet<string>;
  tags: ReadonlySet<string>;
  assets: readonly AssetRecord[];
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

/** All that a page is made of: the guide, the tree of pages, and the things that stand on it. */
function inputsOf({ kinds }: Site, nodes: readonly NodeRecord[], linked: string): unknown[] {
  const { section: _, widget: __, ...shared } = kinds;
  return [linked, ...Object.values(shared), ...nodes];
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((it, i) => it === b[i]);

const rendered = new WeakMap<PageRecord, { inputs: readonly unknown[]; made: RenderedPage }>();

/** Renders a page; answers with what was made before where nothing it is made of has changed. */
export function renderPage(site: Site, page: PageRecord): RenderedPage {
  const nodes = nodesOn(site, page);
  const linked = nodes
    .filter(node => node.kind === 'section' && isLinked(site, node.id))
    .map(node => node.id);
  const inputs = inputsOf(site, nodes, linked.join(' '));
  const known = rendered.get(page);
  if (known && same(known.inputs, inputs)) return known.made;
  const root = toRoot(site, page);
  const assets = new Set<AssetRecord>();
  const assetUrl = (asset: AssetRecord) => {
    assets.add(asset);
    return `${root}assets/${asset.file}`;
  };
  const body = renderBody(site, page, { marks: false, links: true, assetUrl });
  const rules = ownRules(site, nodes, { mode: 'published', assetUrl });
  const own = printRules(site, rules, 'published');
  const made: RenderedPage = {
    page,
    html: printHtml(body),
    classes: classNamesIn(body),
    tags: tagsIn(body),
    assets: [...assets],
    own,
    ranks: rules,
    rebinds: rebindBlocks(site, page),
    movements: movementsIn(own),
    variables: variablesIn(own),
    behaviours: [...new Set(nodes.map(elementOfNode))].filter(it => it.behaviour !== undefined),
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
  rendered.set(page, { inputs, made });
  return made;
}
