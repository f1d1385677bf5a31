import { childScope, presetIn, type Scope } from '../cascade/index.ts';
import { darkened } from '../guide/darkVersion.ts';
import { presetsAround } from '../guide/index.ts';
import { type Filled, Paints, type TextContrast } from '../measure/paints.ts';
import { getRecord, type Id, isNode, nodesUnder, type Site } from '../site/index.ts';
import type { Width } from '../slots/index.ts';
import { partNames, presetNamesOf } from '../widgets/index.ts';
import { standingsOf } from './standing.ts';
import { structureOf } from './structure.ts';

/** A thing whose words cannot be read where they stand, by the first part of it that shows such words. */
export interface UnreadableText extends Pick<TextContrast, 'ratio' | 'wanted'> {
  node: Id;
  part: string;
  /** A page on which they stand; those in a shared header stand on others, too. */
  page: Id;
  /** They can be read but in the dark version of the site. */
  dark?: true;
}

const lists = new WeakMap<Site, readonly UnreadableText[]>();

/**
 * Every text of a site that cannot be read as it is stacked on wide screens, each once, at the first page it stands on; in its
 * dark version too, where it has one.
 */
export function unreadableTexts(site: Site): readonly UnreadableText[] {
  const known = lists.get(site);
  if (known) return known;
  const dark = darkened(site);
  const found = textsUnreadableOn(site);
  if (dark)
    for (const [node, text] of textsUnreadableOn(dark))
      if (!found.has(node)) found.set(node, { ...text, dark: true });
  const list = [...found.values()].sort((a, b) => a.ratio / a.wanted - b.ratio / b.wanted);
  lists.set(site, list);
  return list;
}

function textsUnreadableOn(site: Site): Map<Id, UnreadableText> {
  const paints = paintsOf(site, 'wide');
  const found = new Map<Id, UnreadableText>();
  for (const { node, page, scope } of standingsOf(site)) {
    if (!node) continue;
    for (const part of partNames(scope.element)) {
      const text = paints.textOf(scope, part);
      if (!text || text.ratio >= text.wanted) continue;
      if (!found.has(node.id))
        found.set(node.id, { node: node.id, part, page, ratio: text.ratio, wanted: text.wanted });
      break;
    }
  }
  return found;
}

const paintsOf = (site: Site, width: Width): Paints => {
  const structure = structureOf(site);
  return new Paints(site, width, (scope, part) => structure.contributionsTo(scope, part));
};

/** How well the words of a part can be read where it stands; null where it shows none, or over a picture. */
export const textContrast = (site: Site, scope: Scope, part: string, width: Width): TextContrast | null =>
  paintsOf(site, width).textOf(scope, part);

/** Things on a fill that are looked at, at most. */
const MOST_ON_FILL = 300;

/** A text on a fill, and what shows it. */
export interface TextOnFill extends TextContrast {
  node: Id;
  part: string;
}

const worstFirst = (a: TextContrast, b: TextContrast): number => a.ratio / a.wanted - b.ratio / b.wanted;

/** Texts that stand directly on the fill of a part, the worst first. */
export function textsOnFill(site: Site, fill: Filled, width: Width): TextOnFill[] {
  const paints = paintsOf(site, width);
  const found: TextOnFill[] = [];
  let looked = 0;
  const visit = (scope: Scope) => {
    if (!scope.node || ++looked > MOST_ON_FILL) return;
    for (const part of partNames(scope.element)) {
      const text = paints.textOf(scope, part);
      if (!text || text.filledBy?.part !== fill.part || text.filledBy.scope !== fill.scope) continue;
      found.push({ ...text, node: scope.node.id, part });
      break;
    }
    for (const id of nodesUnder(site, scope.node.id)) {
      const node = getRecord(site, id);
      if (isNode(node)) visit(childScope(scope, node));
    }
  };
  visit(fill.scope);
  return found.sort(worstFirst);
}

/** Things that wear a preset that are looked at, at most. */
const MOST_WEARERS = 200;

const wearsOneOf = (site: Site, { wears, scheme }: Scope, presets: ReadonlySet<Id>): boolean =>
  Object.values(wears).some(({ preset, on }) => on && presets.has(presetIn(site, preset, scheme) ?? ''));

/** Texts that stand on parts of a kind of all that wears a preset, or one that holds it; the worst first. */
export function textsOnPreset(site: Site, preset: Id, kind: string, width: Width): TextOnFill[] {
  const worn = new Set(presetsAround(site, preset));
  const seen = new Set<Id>();
  const found = new Map<string, TextOnFill>();
  for (const { node, scope } of standingsOf(site)) {
    if (seen.size === MOST_WEARERS) break;
    if (!node || seen.has(node.id) || !wearsOneOf(site, scope, worn)) continue;
    seen.add(node.id);
    for (const part of partNames(scope.element))
      if (presetNamesOf(scope.element, part).includes(kind))
        for (const text of textsOnFill(site, { scope, part }, width))
          found.set(`${text.node} ${text.part}`, text);
  }
  return [...found.values()].sort(worstFirst);
}

/** Texts that can be read on the earlier site and cannot on the later one, the worst first. */
export function newlyUnreadable(before: Site, after: Site): UnreadableText[] {
  const old = new Set(unreadableTexts(before).map(it => it.node));
  return unreadableTexts(after).filter(it => !old.has(it.node));
}
