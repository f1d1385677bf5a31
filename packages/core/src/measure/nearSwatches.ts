import { ciede2000, labOf } from '../color/index.ts';
import { madeForSchemes } from '../guide/index.ts';
import { byOrder, type Id, type Site } from '../site/index.ts';
import { literalOf, NO_REBINDS } from '../tokens/index.ts';

export interface NearPair {
  a: Id;
  b: Id;
  /** CIEDE2000. */
  distance: number;
}

/** Pairs of swatches that are listed, at most. */
const MOST_PAIRS = 2000;

/** Swatches that can hardly be told apart: CIEDE2000 below 2 and the same alpha. The nearest first. */
export function nearSwatches(site: Site, below = 2): NearPair[] {
  const { token: tokens } = site.kinds;
  const made = madeForSchemes(site);
  const swatches = [...tokens.values()].sort(byOrder).flatMap(({ id, value, type }) => {
    const end = type === 'color' ? literalOf(tokens, NO_REBINDS, value) : null;
    // An alias is the same colour by intention, and what was worked out for a scheme goes with it.
    return end?.type === 'color' && value.type !== 'token' && !made.has(id)
      ? [{ id, lab: labOf(end.value), alpha: end.value.alpha }]
      : [];
  });
  // CIEDE2000 divides a difference of lightness by 1.75 at most, so only neighbours in lightness need be compared.
  const byLightness = swatches.map((it, place) => ({ ...it, place })).sort((x, y) => x.lab[0] - y.lab[0]);
  const pairs: NearPair[] = [];
  for (const [i, a] of byLightness.entries())
    for (let k = i + 1; k < byLightness.length; k++) {
      const b = byLightness[k];
      if (!b || b.lab[0] - a.lab[0] > below * 1.75 || pairs.length >= MOST_PAIRS) break;
      if (a.alpha !== b.alpha) continue;
      const apart = ciede2000(a.lab, b.lab);
      if (apart >= below) continue;
      const [first, second] = a.place < b.place ? [a, b] : [b, a];
      pairs.push({ a: first.id, b: second.id, distance: apart });
    }
  return pairs.sort((x, y) => x.distance - y.distance);
}
