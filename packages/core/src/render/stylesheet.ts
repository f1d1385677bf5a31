import { compareRanks, mergeRebinds, pageScope } from '../cascade/index.ts';
import type { Gamut } from '../color/index.ts';
import { darkPairs } from '../guide/darkVersion.ts';
import { movementsIn, printKeyframes } from '../properties/index.ts';
import {
  AREAS,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nodesUnder,
  type PageRecord,
  type SectionRecord,
  type Site,
  settingsOf,
  subtree,
} from '../site/index.ts';
import { literalOf, NO_REBINDS } from '../tokens/index.ts';
import { sectionsIn } from './markup.ts';
import {
  baseCss,
  conditionsOf,
  type Printing,
  type PrintMode,
  printBare,
  printElementBases,
  printLayerOrder,
  type Rule,
  rulesOf,
  varContext,
} from './rules.ts';
import { guideIds, guideSources, ownSource, programSources } from './sources.ts';
import {
  type Declarations,
  rebindVariables,
  rootVariables,
  schemePatterns,
  schemeVariables,
  type Target,
} from './variables.ts';

/** Rules of the program and the guide that some used class asks for; all of them where no classes are given. */
export function guideRules(site: Site, printing: Printing, used?: ReadonlySet<string>): readonly Rule[] {
  const rules = allGuideRules(site, printing);
  return used ? rules.flatMap(rule => keepUsed(rule, used)) : rules;
}

const known = new WeakMap<Printing, { inputs: readonly unknown[]; rules: readonly Rule[] }>();

/** Kept for whoever prints in the same way while nothing of the guide changes. */
function allGuideRules(site: Site, printing: Printing): readonly Rule[] {
  const { default: defaults, variant, variantRule, preset, textStyle, settings, asset } = site.kinds;
  const inputs = [defaults, variant, variantRule, preset, textStyle, settings, asset];
  const there = known.get(printing);
  if (there?.inputs.every((it, i) => it === inputs[i])) return there.rules;
  const context = varContext(site, printing);
  const sources = [...programSources(), ...guideIds(site).flatMap(id => guideSources(site, id))];
  const rules = sources.flatMap(source => rulesOf(site, source, context));
  known.set(printing, { inputs, rules });
  return rules;
}

function keepUsed(rule: Rule, used: ReadonlySet<string>): Rule[] {
  const targets = rule.targets.filter(
    ({ className, host, own }) =>
      used.has(className) &&
      (host === null || used.has(host)) &&
      (own.length === 0 || own.some(it => used.has(it))),
  );
  if (targets.length === 0) return [];
  return [targets.length === rule.targets.length ? rule : { ...rule, targets }];
}

export const ownRules = (site: Site, nodes: Iterable<NodeRecord>, printing: Printing): Rule[] => {
  const context = varContext(site, printing);
  return [...nodes].flatMap(node =>
    Object.keys(node.styles).length === 0 && !node.declarations
      ? []
      : rulesOf(site, ownSource(node), context),
  );
};

interface Standing {
  sections: Site['kinds']['section'];
  ids: WeakMap<PageRecord, readonly Id[]>;
}
const standing = new WeakMap<Site['children'], Standing>();

/** Ids of what shows on a page; found anew only when something was put elsewhere, or a section or the page itself altered. */
function idsOn(site: Site, page: PageRecord): readonly Id[] {
  let known = standing.get(site.children);
  const { section: sections } = site.kinds;
  if (known?.sections !== sections) {
    known = { sections, ids: new WeakMap() };
    standing.set(site.children, known);
  }
  let ids = known.ids.get(page);
  if (!ids) {
    ids = AREAS.flatMap(area => sectionsIn(site, page.id, area)).flatMap(root =>
      subtree({ childrenOf: id => nodesUnder(site, id) }, root.id),
    );
    known.ids.set(page, ids);
  }
  return ids;
}

/** Sections and widgets that show on a page, header and footer among them. */
export const nodesOn = (site: Site, page: PageRecord): NodeRecord[] =>
  idsOn(site, page)
    .map(id => getRecord(site, id))
    .filter(isNode);

/** A block of custom properties and what it is declared on; of a wider gamut, for screens that show it alone. */
export interface Block {
  selector: string;
  declarations: Declarations;
  gamut?: Gamut;
  /** For visitors alone whose device asks for it. */
  face?: 'dark';
}

/**
 * Blocks as every screen shows them, and behind them what screens of a wider gamut show otherwise, where the brand wants
 * that.
 */
export function onEveryScreen(site: Site, blocks: (gamut: Gamut) => Block[]): Block[] {
  const usual = blocks('srgb');
  if (!settingsOf(site).wideColors) return usual;
  const wide = blocks('display-p3').map(({ selector, declarations, face }, i): Block => {
    const known = new Map(usual[i]?.declarations);
    return {
      selector,
      declarations: declarations.filter(([name, text]) => known.get(name) !== text),
      gamut: 'display-p3',
      ...(face && { face }),
    };
  });
  return [...usual, ...wide.filter(({ declarations }) => declarations.length > 0)];
}

/** Where tokens are declared: at the root of a page; on the specimen’s grid, but for what each cell computes for its own width. */
const ROOT_SELECTORS: Readonly<Record<PrintMode, { shared: string; byCell: string }>> = {
  published: { shared: ':root', byCell: ':root' },
  canvas: { shared: ':root', byCell: ':root' },
  sheet: { shared: ':where(.grid)', byCell: ':where(.cell)' },
};

/** Whether a declaration comes to something else in each cell: a growing size, or a reference to one. */
function isByCell(site: Site, text: string): boolean {
  if (text.includes('var(--vw)')) return true;
  const id = /^var\(--t-([\w-]+)\)$/.exec(text)?.[1];
  if (id === undefined) return false;
  return literalOf(site.kinds.token, NO_REBINDS, { type: 'token', token: id })?.type === 'fluid';
}

/** Declarations of tokens, put where they belong. */
export function rootBlocksOf(site: Site, declarations: Declarations, mode: PrintMode): Block[] {
  const { shared, byCell } = ROOT_SELECTORS[mode];
  if (shared === byCell) return [{ selector: shared, declarations }];
  const own = declarations.filter(([, text]) => isByCell(site, text));
  const common = declarations.filter(it => !own.includes(it));
  return [
    { selector: shared, declarations: common },
    { selector: byCell, declarations: own },
  ];
}
export const rootBlocks = (site: Site, target: Target): Block[] =>
  rootBlocksOf(site, rootVariables(site, target), target.mode);
export const schemeSelector = (id: Id): string => `.s-${id}`;
/** The roles of a scheme, and whether the browser’s own controls are to be light or dark on it (CSS Color Adjustment 1, section 2). */
export function schemeBlock(site: Site, id: Id, gamut: Gamut): Block {
  const face = site.kinds.scheme.get(id)?.face;
  return {
    selector: schemeSelector(id),
    declarations: [...(face ? [['color-scheme', face] as const] : []), ...schemeVariables(site, id, gamut)],
  };
}
export const schemeBlocks = (site: Site, gamut: Gamut): Block[] =>
  [...site.kinds.scheme.keys()].map(id => schemeBlock(site, id, gamut));

/** Light schemes as visitors see them who ask for a dark page, where the site has that: as their counterparts. */
const darkBlocks = (site: Site, gamut: Gamut): Block[] =>
  darkPairs(site).map(([light, dark]) => ({
    ...schemeBlock(site, dark.id, gamut),
    selector: schemeSelector(light.id),
    face: 'dark',
  }));

/** Tokens and schemes of a site as its published pages declare them; what holds for dark pages stands last, and so over all else. */
export const publishedBlocks = (site: Site): Block[] => [
  ...onEveryScreen(site, gamut => [
    ...rootBlocks(site, { mode: 'published', gamut }),
    ...schemeBlocks(site, gamut),
  ]),
  ...onEveryScreen(site, gamut => darkBlocks(site, gamut)),
];

const rebindingSections = new WeakMap<Site['kinds']['section'], readonly SectionRecord[]>();
function rebinding(site: Site): readonly SectionRecord[] {
  let found = rebindingSections.get(site.kinds.section);
  if (!found) {
    found = [...site.kinds.section.values()].filter(({ rebind }) => Object.keys(rebind).length > 0);
    rebindingSections.set(site.kinds.section, found);
  }
  return found;
}

/** Schemes that are worn within a rebinding have their patterns anew there: an image follows no variable. */
function patternsBelow(site: Site, id: Id, scheme: Id, gamut: Gamut, rebinds: PageRecord['rebind']): Block[] {
  const declarations = schemePatterns(site, scheme, gamut, rebinds);
  return declarations.length === 0
    ? []
    : [{ selector: `.b-${id} .s-${scheme},.b-${id}.s-${scheme}`, declarations }];
}

/** Rebindings that hold on a page: its own, and those of its sections. */
export function rebindBlocks(site: Site, page: PageRecord, gamut: Gamut): Block[] {
  const { rebinds } = pageScope(site, page);
  const block = (id: string, own: PageRecord['rebind'], all: PageRecord['rebind']): Block[] =>
    Object.keys(own).length === 0
      ? []
      : [
          { selector: `.b-${id}`, declarations: rebindVariables(site, own, all, gamut) },
          ...[...site.kinds.scheme.keys()].flatMap(scheme => patternsBelow(site, id, scheme, gamut, all)),
        ];
  const sections = rebinding(site).filter(
    ({ area, at }) => at.parent === page.id || (area !== 'main' && !site.kinds.page.has(at.parent)),
  );
  return [
    ...block(page.id, page.rebind, rebinds),
    ...sections.flatMap(({ id, rebind }) => block(id, rebind, mergeRebinds(rebinds, rebind))),
  ];
}

export function printBlock({ selector, declarations, gamut = 'srgb', face }: Block): string {
  const conditions = [
    // Media Queries 5, section 12.5, and Media Queries 4, section 6.6: approximately the gamut of Display P3, or more.
    ...(face === 'dark' ? ['(prefers-color-scheme:dark)'] : []),
    ...(gamut === 'srgb' ? [] : ['(color-gamut:p3)']),
  ];
  const block = `${selector}{${declarations.map(([name, text]) => `${name}:${text}`).join(';')}}`;
  return conditions.length === 0 ? block : `@media ${conditions.join(' and ')}{${block}}`;
}

/** Rules in the order of their ranks; those of one layer share its braces. */
export function printRules(site: Site, rules: readonly Rule[], mode: PrintMode): string {
  let text = '';
  let open = '';
  for (const rule of rules.toSorted(compareRanks)) {
    const [layer = '', ...conditions] = conditionsOf(site, rule, mode);
    if (layer !== open) text += `${open && '}\n'}${layer}{`;
    open = layer;
    text += conditions.reduceRight((inner, condition) => `${condition}{${inner}}`, printBare(rule, mode));
  }
  return text + (open && '}');
}

/** Everything a page needs in one text: for previews, and for the test that compares with a browser. */
export function pageStyles(
  site: Site,
  page: PageRecord,
  printing: Printing,
  used?: ReadonlySet<string>,
): string {
  const { mode } = printing;
  const rules = [...guideRules(site, printing, used), ...ownRules(site, nodesOn(site, page), printing)];
  const blocks = onEveryScreen(site, gamut => [
    ...rootBlocks(site, { mode, gamut }),
    ...schemeBlocks(site, gamut),
    ...rebindBlocks(site, page, gamut),
  ]);
  const printed = printRules(site, rules, mode);
  return [
    printLayerOrder(rules),
    baseCss(mode),
    printElementBases(used ?? null, mode),
    ...blocks.map(printBlock),
    printed,
    printKeyframes(movementsIn(printed)),
  ].join('\n');
}
