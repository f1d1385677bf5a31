import type { ColorSpaceId, Triple } from './color.ts';

/** A colour of which some coordinates are missing (`none`, CSS Color 4, section 4.4). */
export interface Partial3 {
  space: ColorSpaceId;
  coords: readonly [number | null, number | null, number | null];
  alpha: number | null;
}

/** Which way round the circle a hue goes (CSS Color 4, section 12.4). */
export const ARCS = ['shorter', 'longer', 'increasing', 'decreasing'] as const;
export type Arc = (typeof ARCS)[number];

/** Where a space has its hue; null of those that have none. */
export const hueAt = (space: ColorSpaceId): 0 | 2 | null =>
  space === 'hsl' || space === 'hwb' ? 0 : space === 'lch' || space === 'oklch' ? 2 : null;

const turn = (degrees: number): number => ((degrees % 360) + 360) % 360;

/** Degrees from one hue to another along an arc. */
function arcBetween(from: number, to: number, arc: Arc): number {
  const up = turn(to - from);
  switch (arc) {
    case 'shorter':
      return up > 180 ? up - 360 : up;
    case 'longer':
      return up === 0 ? 360 : up >= 180 ? up : up - 360;
    case 'increasing':
      return up;
    case 'decreasing':
      return up === 0 ? 0 : up - 360;
  }
}

/** CSS Color 4, section 12: both in the same space, `share` (0–1) of the second, alpha premultiplied, what is missing taken from the other. */
export function interpolate(a: Partial3, b: Partial3, share: number, arc: Arc = 'shorter'): Partial3 {
  const hue = hueAt(a.space);
  const alphaA = a.alpha ?? b.alpha;
  const alphaB = b.alpha ?? a.alpha;
  const alpha = alphaA === null || alphaB === null ? null : alphaA + (alphaB - alphaA) * share;
  const at = (i: 0 | 1 | 2): number | null => {
    const x = a.coords[i] ?? b.coords[i];
    const y = b.coords[i] ?? a.coords[i];
    if (x === null || y === null) return null;
    if (i === hue) return turn(x + arcBetween(x, y, arc) * share);
    if (alphaA === null || alphaB === null || !alpha) return x + (y - x) * share;
    return (x * alphaA * (1 - share) + y * alphaB * share) / alpha;
  };
  return { space: a.space, coords: [at(0), at(1), at(2)], alpha };
}

const known = (v: number | null): number => v ?? 0;
export const coordsOf = ({ coords: [a, b, c] }: Partial3): Triple => [known(a), known(b), known(c)];
