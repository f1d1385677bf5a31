import type { ScaleUse } from '../properties/index.ts';
import { byOrder, type Site, type TokenRecord } from '../site/index.ts';
import { literalOf, NO_REBINDS, type Rebinds, slug } from '../tokens/index.ts';
import type { TokenType, Value } from '../values/index.ts';
import { type Apart, apart } from './apart.ts';
import { isFor, usesOfTokens } from './usesOfTokens.ts';

/** A token that may be chosen, and the literal it ends in where it would stand. */
export interface TokenChoice {
  token: TokenRecord;
  end: Value;
}

export interface ChoiceGroup {
  name: string;
  choices: readonly TokenChoice[];
}

/** What can be chosen: types of token, what it is for, and what is bound otherwise at the place. */
export interface Wanted {
  types: readonly TokenType[];
  use: ScaleUse | null;
  rebinds?: Rebinds;
}

/** Tokens that fit, by group: those of scales that are for this use first, those that are for others last. */
export function tokenChoices(site: Site, { types, use, rebinds = NO_REBINDS }: Wanted): ChoiceGroup[] {
  const uses = usesOfTokens(site);
  const groups = new Map<string, { name: string; choices: TokenChoice[]; rank: number }>();
  for (const token of [...site.kinds.token.values()].sort(byOrder)) {
    if (!types.includes(token.type)) continue;
    const end = literalOf(site.kinds.token, rebinds, { type: 'token', token: token.id });
    if (!end) continue;
    const key = `${token.type} ${token.group}`;
    const fits = use === null ? 'unknown' : isFor(uses, token, use);
    const rank = fits === true ? 0 : fits === 'unknown' ? 1 : 2;
    const group = groups.get(key);
    if (group) {
      group.choices.push({ token, end });
      group.rank = Math.min(group.rank, rank);
    } else groups.set(key, { name: token.group, choices: [{ token, end }], rank });
  }
  return [...groups.values()].sort((a, b) => a.rank - b.rank).map(({ name, choices }) => ({ name, choices }));
}

/** Choices whose name, group or path holds every word of what is searched for. */
export function matchingChoices(groups: readonly ChoiceGroup[], search: string): ChoiceGroup[] {
  const words = search
    .replace(/[{}]/g, '')
    .split(/[\s.›/]+/)
    .filter(Boolean)
    .map(slug);
  if (words.length === 0) return [...groups];
  return groups.flatMap(({ name, choices }) => {
    const found = choices.filter(({ token }) => {
      const text = `${token.type} ${slug(token.group)} ${slug(token.name)}`;
      return words.every(word => text.includes(word));
    });
    return found.length > 0 ? [{ name, choices: found }] : [];
  });
}

export interface NearChoice extends TokenChoice {
  apart: Apart;
}

/** Tokens by their distance from a literal, the nearest first; none that are known to be for something else. */
export function nearestChoices(site: Site, wanted: Wanted, value: Value, most = 1): NearChoice[] {
  const uses = usesOfTokens(site);
  const near: (NearChoice & { rank: number })[] = [];
  for (const { choices } of tokenChoices(site, wanted))
    for (const it of choices) {
      const fits = wanted.use === null ? 'unknown' : isFor(uses, it.token, wanted.use);
      const far = fits === false ? null : apart(it.end, value);
      if (far) near.push({ ...it, apart: far, rank: fits === true ? 0 : 1 });
    }
  return near
    .sort((a, b) => a.rank - b.rank || Math.abs(a.apart.by) - Math.abs(b.apart.by))
    .slice(0, most)
    .map(({ token, end, apart: far }) => ({ token, end, apart: far }));
}
