import { type Failure, newFailures } from '../check/contrast.ts';
import { isProperty, type PropertyName } from '../properties/index.ts';
import { ok, type Result } from '../result/index.ts';
import { applyChange, type Edit, type Id, type Site } from '../site/index.ts';
import { partNames } from '../widgets/index.ts';
import { type Look, Looks } from './looks.ts';
import { type Standing, standingsOf } from './standing.ts';

export interface PageImpact {
  page: Id;
  /** Things on it that come to look different, parents first. */
  nodes: readonly Id[];
}

/** What a change would alter, before it is made. */
export interface Impact {
  /** Pages on which something looks different, in their order; the page itself counts among its nodes. */
  pages: readonly PageImpact[];
  /** Different things that look different, each once. */
  nodes: number;
  /** Things that would be added or taken away. */
  added: number;
  removed: number;
  /** Properties of which some value is another, the most frequent first. */
  properties: readonly { property: PropertyName; count: number }[];
  /** Texts and signs that could be read well enough before, and could not after. */
  failures: readonly Failure[];
}

const sameLook = (a: Look, b: Look): boolean => {
  if (a === b) return true;
  if (a.size !== b.size) return false;
  for (const [key, text] of a) if (b.get(key) !== text) return false;
  return true;
};

const propertyIn = (key: string): PropertyName | null => {
  const name = key.slice(key.indexOf('/') + 1);
  return isProperty(name) ? name : null;
};

/** Properties whose value differs anywhere between two standings of one thing. */
function changed(before: Looks, after: Looks, was: Standing, is: Standing): ReadonlySet<PropertyName> {
  const found = new Set<PropertyName>();
  for (const part of partNames(is.scope.element)) {
    const [a, b] = [before.of(was.scope, part), after.of(is.scope, part)];
    if (sameLook(a, b)) continue;
    for (const key of new Set([...a.keys(), ...b.keys()])) {
      const property = a.get(key) === b.get(key) ? null : propertyIn(key);
      if (property) found.add(property);
    }
  }
  return found;
}

const keyOf = ({ node, page }: Standing): string => `${node?.id ?? ''} ${page}`;

/** Compares two sites: which things on which pages come to look different. */
export function compareSites(a: Site, b: Site): Impact {
  const before = new Looks(a);
  const after = new Looks(b);
  const was = standingsOf(a);
  const is = standingsOf(b);
  const here = was === is ? null : new Map(was.map(it => [keyOf(it), it]));
  const known = new Map<string, ReadonlySet<PropertyName>>();
  const pages = new Map<Id, Id[]>();
  const nodes = new Set<Id>();
  const added = new Set<Id>();
  const stays = new Set<string>();
  const counts = new Map<PropertyName, number>();
  for (const standing of is) {
    const key = keyOf(standing);
    const old = here ? here.get(key) : standing;
    if (!old) {
      added.add(standing.node?.id ?? standing.page);
      continue;
    }
    if (here) stays.add(key);
    const pair = `${before.situation(old.scope)} ${after.situation(standing.scope)}`;
    let properties = known.get(pair);
    if (!properties) {
      properties = changed(before, after, old, standing);
      known.set(pair, properties);
    }
    if (properties.size === 0) continue;
    const id = standing.node?.id ?? standing.page;
    const list = pages.get(standing.page);
    if (list) list.push(id);
    else pages.set(standing.page, [id]);
    if (nodes.has(id)) continue;
    nodes.add(id);
    for (const property of properties) counts.set(property, (counts.get(property) ?? 0) + 1);
  }
  const removed = here
    ? new Set(was.filter(it => !stays.has(keyOf(it))).map(it => it.node?.id ?? it.page))
    : new Set<Id>();
  return {
    pages: [...pages].map(([page, ids]) => ({ page, nodes: ids })),
    nodes: nodes.size,
    added: added.size,
    removed: removed.size,
    properties: [...counts]
      .map(([property, count]) => ({ property, count }))
      .sort((x, y) => y.count - x.count),
    failures: newFailures(a, b),
  };
}

/** What edits would alter, or why they cannot be made. */
export function impactOf(site: Site, edits: readonly Edit[]): Result<Impact> {
  const applied = applyChange(site, { edits });
  return applied.ok ? ok(compareSites(site, applied.value.site)) : applied;
}
