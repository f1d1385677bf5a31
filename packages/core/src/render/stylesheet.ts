import { compareRanks, mergeRebinds, pageScope } from '../cascade/index.ts';
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
  subtree,
} from '../site/index.ts';
import { sectionsIn } from './markup.ts';
import {
  BASE_CSS,
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
    ({ className, host }) => used.has(className) && (host === null || used.has(host)),
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

/** A block of custom properties and what it is declared on. */
export interface Block {
  selector: string;
  declarations: Declarations;
}

export const rootBlock = (site: Site, mode: PrintMode): Block => ({
  selector: mode === 'sheet' ? ':where(.cell)' : ':root',
  declarations: rootVariables(site, mode),
});
export const schemeSelector = (id: Id): string => `.s-${id}`;
export const schemeBlock = (site: Site, id: string): Block => ({
  selector: schemeSelector(id),
  declarations: schemeVariables(site, id),
});
export const schemeBlocks = (site: Site): Block[] =>
  [...site.kinds.scheme.keys()].map(id => schemeBlock(site, id));

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
function patternsBelow(site: Site, id: Id, scheme: Id, rebinds: PageRecord['rebind']): Block[] {
  const declarations = schemePatterns(site, scheme, rebinds);
  return declarations.length === 0
    ? []
    : [{ selector: `.b-${id} .s-${scheme},.b-${id}.s-${scheme}`, declarations }];
}

/** Rebindings that hold on a page: its own, and those of its sections. */
export function rebindBlocks(site: Site, page: PageRecord): Block[] {
  const { rebinds } = pageScope(site, page);
  const block = (id: string, own: PageRecord['rebind'], all: PageRecord['rebind']): Block[] =>
    Object.keys(own).length === 0
      ? []
      : [
          { selector: `.b-${id}`, declarations: rebindVariables(site, own, all) },
          ...[...site.kinds.scheme.keys()].flatMap(scheme => patternsBelow(site, id, scheme, all)),
        ];
  const sections = rebinding(site).filter(
    section => section.area !== 'main' || section.at.parent === page.id,
  );
  return [
    ...block(page.id, page.rebind, rebinds),
    ...sections.flatMap(({ id, rebind }) => block(id, rebind, mergeRebinds(rebinds, rebind))),
  ];
}

export const printBlock = ({ selector, declarations }: Block): string =>
  `${selector}{${declarations.map(([name, text]) => `${name}:${text}`).join(';')}}`;

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
  const blocks = [rootBlock(site, mode), ...schemeBlocks(site), ...rebindBlocks(site, page)];
  const printed = printRules(site, rules, mode);
  return [
    printLayerOrder(rules),
    BASE_CSS,
    printElementBases(used ?? null, mode),
    ...blocks.map(printBlock),
    printed,
    printKeyframes(movementsIn(printed)),
  ].join('\n');
}
