import {
  allRecords,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  referencesOf,
  type Site,
  type SpecimenRow,
} from '@cove/core';
import { pageOf } from '../shell/go.ts';

/** How many things on pages a row of the specimen stands for. */
export function usesOfRow(site: Site, row: SpecimenRow): number {
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

/** Records that mention this one directly. */
export function usersOf(site: Site, id: Id): Id[] {
  const found: Id[] = [];
  for (const record of allRecords(site))
    if (record.id !== id && referencesOf(record).some(it => it.to === id)) found.push(record.id);
  return found;
}

/** On how many pages the given things stand. */
export const pagesOf = (site: Site, ids: readonly Id[]): number =>
  new Set(ids.filter(id => isNode(getRecord(site, id))).map(id => pageOf(site, id) ?? 'all')).size;
