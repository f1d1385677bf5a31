/** Sets that are kept to be shared; beyond, those known so far are forgotten. */
const MOST = 5000;
const known = new Map<string, ReadonlySet<string>>();

/** The same set for the same names: pages that are made alike share theirs, so that all of them are joined at the cost of a few. */
export function interned(names: ReadonlySet<string>): ReadonlySet<string> {
  const key = [...names].sort().join(' ');
  const there = known.get(key);
  if (there) return there;
  if (known.size >= MOST) known.clear();
  known.set(key, names);
  return names;
}
