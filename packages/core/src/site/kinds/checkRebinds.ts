import { longestWays } from '../../graph/index.ts';
import { LIMITS } from '../../limits/index.ts';
import type { Problem } from '../../result/index.ts';
import { tokensIn, type Value } from '../../values/index.ts';
import { circle, tooDeep } from '../chain.ts';
import type { Id } from '../records.ts';
import type { Scene } from '../scene.ts';
import { stableText } from '../stableText.ts';

interface Rebinding {
  readonly id: Id;
  readonly rebind: Readonly<Record<Id, Value>>;
}

/** Where some tokens have other values, following them leads neither in a circle nor too far. */
export function checkRebinds(
  { id: record, rebind }: Rebinding,
  before: Rebinding | undefined,
  { get }: Scene,
): Problem | null {
  if (before && (before.rebind === rebind || stableText(before.rebind) === stableText(rebind))) return null;
  const below = longestWays((id: Id) => {
    const rebound = Object.hasOwn(rebind, id) ? rebind[id] : undefined;
    const token = rebound ? undefined : get(id);
    const value = rebound ?? (token?.kind === 'token' ? token.value : null);
    return value ? tokensIn(value) : [];
  }, LIMITS.following);
  for (const id of Object.keys(rebind)) {
    const way = below(id);
    if (way === 'circular') return circle(record, id, `rebind.${id}`);
    if (way === 'too-long')
      return tooDeep(record, `rebind.${id}`, 'tokens that follow one another', LIMITS.following);
  }
  return null;
}
