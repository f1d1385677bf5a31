/** The value below which a share of all values lie; `share` from 0 to 1. */
export const quantile = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Number.NaN;
};
export const median = (values: readonly number[]): number => quantile(values, 0.5);

const WIDE = 58;

/** Heads a table of results. */
export const head = (what: string): string =>
  `\n${what.padEnd(WIDE)} ${'ours'.padStart(12)} ${'floor'.padStart(12)}  ratio`;

/** One row: ours, the floor (both in ms), how many times that ours is, and how many it may be. */
export const row = (what: string, ours: number, floor: number, wanted: number): string =>
  `${what.padEnd(WIDE)} ${ours.toFixed(2).padStart(9)} ms ${floor.toFixed(2).padStart(9)} ms ${(ours / floor).toFixed(2).padStart(6)}×   at most ${wanted}×`;

/** One row for a figure of which more is better. */
export const least = (what: string, ours: number, wanted: number, unit: string): string =>
  `${what.padEnd(WIDE)} ${ours.toFixed(2).padStart(9)} ${unit.padEnd(4)}${''.padStart(18)}   at least ${wanted.toFixed(0)} ${unit}`;

/** One row for a figure that has no floor but a limit of its own. */
export const limit = (what: string, ours: number, wanted: number, unit = 'ms'): string =>
  `${what.padEnd(WIDE)} ${ours.toFixed(2).padStart(9)} ${unit.padEnd(4)}${''.padStart(18)}   at most ${wanted} ${unit}`;
