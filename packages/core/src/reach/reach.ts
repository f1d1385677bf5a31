import type { Scope } from '../cascade/index.ts';
import { presetsWithin, roleChain } from '../guide/index.ts';
import type { Id, NodeRecord, Site } from '../site/index.ts';
import { boundValue, type Rebinds } from '../tokens/index.ts';
import { tokensIn, type Value } from '../values/index.ts';
import { mentionedBy } from './mentionedBy.ts';
import { standingsOf } from './standing.ts';
import { type Structure, structureOf } from './structure.ts';

/** Where something of the guide is used: things that have it among their sources, and the pages they stand on. */
export interface Reach {
  /** Sections and widgets, each once, however many pages it stands on; pages count where the page itself uses it. */
  uses: number;
  pages: readonly Id[];
}

export type ReachIndex = ReadonlyMap<Id, Reach>;

interface Tally {
  nodes: Set<Id>;
  pages: Set<Id>;
}

/** Everything of the guide that a situation leads to, of each kind. */
type Reached = ReadonlySet<Id>;

/** Follows values to all tokens, roles and schemes behind them, under the rebindings of a place. */
class Follower {
  private readonly byToken = new Map<Rebinds, Map<Id, Reached>>();

  constructor(private readonly site: Site) {}

  /** A token and all that it follows in turn. */
  token(id: Id, rebinds: Rebinds): Reached {
    let table = this.byToken.get(rebinds);
    if (!table) {
      table = new Map();
      this.byToken.set(rebinds, table);
    }
    const known = table.get(id);
    if (known) return known;
    const found = new Set([id]);
    table.set(id, found);
    const value = boundValue(this.site.kinds.token, rebinds, id);
    for (const next of value ? tokensIn(value) : [])
      for (const it of this.token(next, rebinds)) found.add(it);
    return found;
  }

  value(value: Value, rebinds: Rebinds, into: Set<Id>): void {
    for (const id of tokensIn(value)) for (const it of this.token(id, rebinds)) into.add(it);
  }

  /** A role in a scheme: the roles passed until one is bound, the scheme, and what it is bound to. */
  role(scheme: Id, name: string, rebinds: Rebinds, into: Set<Id>): void {
    const roles = this.site.kinds.scheme.get(scheme)?.roles ?? {};
    for (const role of roleChain(this.site, name)) {
      into.add(role);
      const bound = Object.hasOwn(roles, role) ? roles[role] : undefined;
      if (!bound) continue;
      into.add(scheme);
      this.value(bound, rebinds, into);
      return;
    }
  }
}

/** All of the guide that has a say in one situation: its sources, and what their values lead to. */
function reachedBy(site: Site, structure: Structure, follower: Follower, scope: Scope): Reached {
  const found = new Set<Id>([scope.scheme]);
  for (const { record, origin, styles, on } of structure.sourcesOf(scope)) {
    if (record !== null && origin !== 'own')
      for (const id of origin === 'preset' ? presetsWithin(site, record) : [record]) found.add(id);
    if (!on) continue;
    const all = [styles];
    const { textStyles } = mentionedBy(styles);
    for (const id of textStyles) {
      found.add(id);
      const style = site.kinds.textStyle.get(id);
      if (style) all.push(style.styles);
    }
    for (const it of all) {
      const { tokens, roles, pictures, drawings } = mentionedBy(it);
      for (const id of pictures) found.add(id);
      for (const id of drawings) {
        found.add(id);
        for (const { fill, stroke } of site.kinds.drawing.get(id)?.paths ?? [])
          for (const paint of [fill, stroke]) if (paint) follower.value(paint, scope.rebinds, found);
      }
      for (const id of tokens) for (const next of follower.token(id, scope.rebinds)) found.add(next);
      for (const role of roles) follower.role(scope.scheme, role, scope.rebinds, found);
    }
  }
  return found;
}

interface Gathered {
  index: ReachIndex;
  /** What each situation leads to, by its key in the structure. */
  bySituation: ReadonlyMap<number, Reached>;
  /** What stands in situations that lead to the same. */
  tallies: ReadonlyMap<Reached, Tally>;
}
const gatheredOf = new WeakMap<Site, Gathered>();

/** How far everything of the guide reaches, in one pass over all that stands on pages. */
export const reachIndex = (site: Site): ReachIndex => gather(site).index;

/** What each situation leads to: ids of tokens, schemes and all other records behind it. */
export const reachedBySituation = (site: Site): ReadonlyMap<number, ReadonlySet<Id>> =>
  gather(site).bySituation;

function gather(site: Site): Gathered {
  const known = gatheredOf.get(site);
  if (known) return known;
  const follower = new Follower(site);
  const structure = structureOf(site);
  const bySituation = new Map<number, Reached>();
  const gathered = new Map<Reached, Tally>();
  for (const standing of standingsOf(site)) {
    const key = structure.keyOf(standing.scope);
    let reached = bySituation.get(key);
    if (!reached) {
      reached = reachedBy(site, structure, follower, standing.scope);
      bySituation.set(key, reached);
      gathered.set(reached, { nodes: new Set(), pages: new Set() });
    }
    const tally = gathered.get(reached);
    tally?.nodes.add(standing.node?.id ?? standing.page);
    tally?.pages.add(standing.page);
  }
  const tallies = new Map<Id, Tally>();
  for (const [reached, { nodes, pages }] of gathered)
    for (const id of reached) {
      let tally = tallies.get(id);
      if (!tally) {
        tally = { nodes: new Set(), pages: new Set() };
        tallies.set(id, tally);
      }
      for (const node of nodes) tally.nodes.add(node);
      for (const page of pages) tally.pages.add(page);
    }
  const index = new Map<Id, Reach>();
  for (const [id, { nodes, pages }] of tallies) index.set(id, { uses: nodes.size, pages: [...pages] });
  const made = { index, bySituation, tallies: gathered };
  gatheredOf.set(site, made);
  return made;
}

const NOWHERE: Reach = { uses: 0, pages: [] };
export const reachOf = (site: Site, id: Id): Reach => reachIndex(site).get(id) ?? NOWHERE;

/** How far several things of the guide reach together; what is reached by more than one of them counts once. */
export function reachOfAny(site: Site, ids: ReadonlySet<Id>): Reach {
  const nodes = new Set<Id>();
  const pages = new Set<Id>();
  for (const [reached, tally] of gather(site).tallies) {
    if (![...ids].some(id => reached.has(id))) continue;
    for (const node of tally.nodes) nodes.add(node);
    for (const page of tally.pages) pages.add(page);
  }
  return { uses: nodes.size, pages: [...pages] };
}

export interface Use {
  node: NodeRecord | null;
  page: Id;
}

/** Every place where something of the guide is used, in the order of the pages; shared things once, on the first page. */
export function usesOf(site: Site, id: Id): Use[] {
  const follower = new Follower(site);
  const structure = structureOf(site);
  const bySituation = new Map<number, boolean>();
  const seen = new Set<Id>();
  const uses: Use[] = [];
  for (const standing of standingsOf(site)) {
    const key = standing.node?.id ?? standing.page;
    if (seen.has(key)) continue;
    const situation = structure.keyOf(standing.scope);
    let holds = bySituation.get(situation);
    if (holds === undefined) {
      holds = reachedBy(site, structure, follower, standing.scope).has(id);
      bySituation.set(situation, holds);
    }
    if (!holds) continue;
    seen.add(key);
    uses.push({ node: standing.node, page: standing.page });
  }
  return uses;
}
