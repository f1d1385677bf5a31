import { valuesInGuide } from '../guide/index.ts';
import { propertyOf, type ScaleUse } from '../properties/index.ts';
import type { Id, Site, TokenRecord } from '../site/index.ts';
import { tokensIn } from '../values/index.ts';

/** What tokens are for, as the guide's own rules use them, by token and by group. */
export interface UsesOfTokens {
  byToken: ReadonlyMap<Id, ReadonlySet<ScaleUse>>;
  byGroup: ReadonlyMap<string, ReadonlySet<ScaleUse>>;
}

const groupKey = ({ type, group }: TokenRecord): string => `${type} ${group}`;

const known = new WeakMap<Site['kinds']['default'], { inputs: readonly unknown[]; uses: UsesOfTokens }>();

/** What a scale is for is told by its use. */
export function usesOfTokens(site: Site): UsesOfTokens {
  const { default: defaults, variant, preset, textStyle, token: tokens } = site.kinds;
  const inputs = [variant, preset, textStyle, tokens];
  const found = known.get(defaults);
  if (found?.inputs.every((it, i) => it === inputs[i])) return found.uses;
  const byToken = new Map<Id, Set<ScaleUse>>();
  const byGroup = new Map<string, Set<ScaleUse>>();
  const add = <K>(map: Map<K, Set<ScaleUse>>, key: K, use: ScaleUse) => {
    const set = map.get(key);
    if (set) set.add(use);
    else map.set(key, new Set([use]));
  };
  for (const [property, value] of valuesInGuide(site)) {
    const { use } = propertyOf(property);
    for (const id of tokensIn(value)) {
      add(byToken, id, use);
      const token = tokens.get(id);
      if (token) add(byGroup, groupKey(token), use);
    }
  }
  const uses = { byToken, byGroup };
  known.set(defaults, { inputs, uses });
  return uses;
}

/** Whether a token is for a use: itself, or others of its group. `unknown` where the guide's rules name none of them. */
export function isFor(uses: UsesOfTokens, token: TokenRecord, use: ScaleUse): boolean | 'unknown' {
  const own = uses.byToken.get(token.id);
  if (own?.has(use)) return true;
  const group = uses.byGroup.get(groupKey(token));
  return group === undefined ? 'unknown' : group.has(use);
}
