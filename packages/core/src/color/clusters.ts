import type { Color, Triple } from './color.ts';
import { convert } from './convert.ts';

/** A colour of a picture, and how much of the picture is near to it. */
export interface Cluster {
  color: Color;
  /** Of what can be seen, from 0 to 1. */
  share: number;
}

/** Bits of each channel by which pixels are counted together. */
const BITS = 5;
const BINS = 1 << (3 * BITS);
/** Clusters that are begun with; those that come near each other become one. */
const SEEDS = 10;
const ROUNDS = 12;
/** Distance in OKLab within which two colours of a picture are taken for one. Of our own choosing. */
const ONE_COLOR = 0.06;
/** What covers less of a picture is no colour of its brand. Of our own choosing. */
const LEAST_SHARE = 0.006;
/** Alpha below which a pixel is not seen. */
const SEEN = 128;

interface Point {
  lab: Triple;
  weight: number;
}

const apart = (a: Triple, b: Triple): number => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;

/** Pixels counted by the cell of the colour cube they lie in, each cell by its mean: one pass over the picture. */
function count(pixels: Uint8ClampedArray): Point[] {
  const sums = new Float64Array(BINS * 4);
  const shift = 8 - BITS;
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    if ((pixels[i + 3] ?? 0) < SEEN) continue;
    const r = pixels[i] ?? 0;
    const g = pixels[i + 1] ?? 0;
    const b = pixels[i + 2] ?? 0;
    const bin = (((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift)) * 4;
    sums[bin] = (sums[bin] ?? 0) + r;
    sums[bin + 1] = (sums[bin + 1] ?? 0) + g;
    sums[bin + 2] = (sums[bin + 2] ?? 0) + b;
    sums[bin + 3] = (sums[bin + 3] ?? 0) + 1;
  }
  const points: Point[] = [];
  for (let bin = 0; bin < sums.length; bin += 4) {
    const weight = sums[bin + 3] ?? 0;
    if (weight === 0) continue;
    const mean = (k: number) => (sums[bin + k] ?? 0) / weight / 255;
    const { coords } = convert({ space: 'srgb', coords: [mean(0), mean(1), mean(2)], alpha: 1 }, 'oklab');
    points.push({ lab: coords, weight });
  }
  return points;
}

/** Seeds far from each other: each is the point that is both heavy and far from those before. */
function seeds(points: readonly Point[]): Triple[] {
  const first = points.reduce((best, it) => (it.weight > best.weight ? it : best));
  const found = [first.lab];
  const far = points.map(it => apart(it.lab, first.lab));
  while (found.length < Math.min(SEEDS, points.length)) {
    let best = 0;
    for (const [i, it] of points.entries()) {
      const score = (far[i] ?? 0) * Math.sqrt(it.weight);
      if (score > (far[best] ?? 0) * Math.sqrt(points[best]?.weight ?? 0)) best = i;
    }
    const next = points[best];
    if (!next || (far[best] ?? 0) === 0) break;
    found.push(next.lab);
    for (const [i, it] of points.entries()) far[i] = Math.min(far[i] ?? 0, apart(it.lab, next.lab));
  }
  return found;
}

const mean = (points: readonly Point[]): Point => {
  const weight = points.reduce((sum, it) => sum + it.weight, 0);
  const at = (k: 0 | 1 | 2) => points.reduce((sum, it) => sum + it.lab[k] * it.weight, 0) / weight;
  return { lab: [at(0), at(1), at(2)], weight };
};

/**
 * The colours of a picture: its pixels (RGBA, four bytes each) clustered in OKLab by k-means from seeds that are always the
 * same, those that can hardly be told apart together, the greatest first. Linear in the number of pixels.
 */
export function clusterColors(pixels: Uint8ClampedArray): Cluster[] {
  const points = count(pixels);
  if (points.length === 0) return [];
  let centres = seeds(points);
  let groups: Point[][] = [];
  for (let round = 0; round < ROUNDS; round++) {
    groups = centres.map(() => []);
    for (const point of points) {
      let nearest = 0;
      for (const [k, centre] of centres.entries())
        if (apart(point.lab, centre) < apart(point.lab, centres[nearest] ?? centre)) nearest = k;
      groups[nearest]?.push(point);
    }
    const next = centres.map((centre, k): Triple => {
      const group = groups[k] ?? [];
      return group.length > 0 ? mean(group).lab : centre;
    });
    const still = next.every((it, k) => apart(it, centres[k] ?? it) < 1e-8);
    centres = next;
    if (still) break;
  }
  const merged: Point[] = [];
  for (const cluster of groups
    .filter(it => it.length > 0)
    .map(group => ({ ...mean(group), lab: heaviest(group) }))
    .sort((a, b) => b.weight - a.weight)) {
    const same = merged.find(it => apart(it.lab, cluster.lab) < ONE_COLOR ** 2);
    if (same) same.weight += cluster.weight;
    else merged.push(cluster);
  }
  const total = merged.reduce((sum, it) => sum + it.weight, 0);
  return merged
    .filter(it => it.weight / total >= LEAST_SHARE)
    .sort((a, b) => b.weight - a.weight)
    .map(({ lab, weight }) => ({
      color: convert({ space: 'oklab', coords: lab, alpha: 1 }, 'srgb'),
      share: weight / total,
    }));
}

/** The colour that most of a cluster has: that of a logo, rather than a mixture with the edges of its letters. */
const heaviest = (group: readonly Point[]): Triple =>
  group.reduce((best, it) => (it.weight > best.weight ? it : best)).lab;
