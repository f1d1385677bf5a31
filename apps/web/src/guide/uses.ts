import { elementOfNode, type Site, type SpecimenRow, wearersOf } from '@cove/core';

/** How many things on pages a row of the specimen stands for. */
export function usesOfRow(site: Site, row: SpecimenRow): number {
  if (row.preset !== null) return wearersOf(site, row.preset).length;
  const wanted = Object.entries(row.variants);
  const [axis] = row.element.axes;
  let count = 0;
  for (const map of [site.kinds.widget, site.kinds.section])
    for (const node of map.values()) {
      if (elementOfNode(node) !== row.element) continue;
      if (
        wanted.length === 0
          ? axis === undefined || node.variants[axis] === undefined
          : wanted.every(([name, id]) => node.variants[name] === id)
      )
        count++;
    }
  return count;
}
