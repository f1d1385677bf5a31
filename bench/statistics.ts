export const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
};

/** One row of a table of results: ours, the floor, and how many times that ours is. */
export const row = (what: string, ours: number, floor: number, wanted: number): string =>
  `${what.padEnd(46)} ${ours.toFixed(2).padStart(9)} ms ${floor.toFixed(2).padStart(9)} ms ${(ours / floor).toFixed(2).padStart(6)}×   at most ${wanted}×`;
