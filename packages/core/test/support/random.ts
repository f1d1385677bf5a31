/** A seeded generator (mulberry32), so that a failing run can be had again by its seed. */
export function seeded(seed: number) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    int: (below: number) => Math.floor(next() * below),
    pick: <T>(list: readonly T[]): T => {
      const item = list[Math.floor(next() * list.length)];
      if (item === undefined) throw new Error('nothing to pick from');
      return item;
    },
  };
}
export type Random = ReturnType<typeof seeded>;

/**
 * How much of a random run there is: little in every run of the tests, much with `./cove test --long`. The runs are
 * independent of each other, so that the long one finds nothing the short one could not have found with more luck.
 */
export const howMuch = (usual: number, long: number): number => (process.env.COVE_LONG ? long : usual);

/** The seed of a single run that is to be had again, with `COVE_SEED` and its number; else the usual one. */
export const seedOr = (usual: number): number => Number(process.env.COVE_SEED ?? usual);

/** Seeds of as many runs, or the one that is asked for. */
export const seedsFrom = (first: number, count: number): readonly number[] =>
  process.env.COVE_SEED
    ? [Number(process.env.COVE_SEED)]
    : Array.from({ length: count }, (_, i) => first + i);
