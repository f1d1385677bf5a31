/** The wanted name, with a number behind it where it is taken (capitals do not count); it is taken from then on. */
export function uniqueName(wanted: string, taken: Set<string>): string {
  let name = wanted;
  for (let n = 2; taken.has(name.toLowerCase()); n++) name = `${wanted} ${n}`;
  taken.add(name.toLowerCase());
  return name;
}

export const namesTaken = (items: Iterable<{ name: string }>): Set<string> =>
  new Set(Array.from(items, it => it.name.toLowerCase()));
