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
