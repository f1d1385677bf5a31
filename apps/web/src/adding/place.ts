import {
  elementOfNode,
  firstPart,
  getRecord,
  type Id,
  isNode,
  nameOf,
  nodesUnder,
  type Site,
} from '@cove/core';
import type { Seam } from '../canvas/pageCanvas.ts';

/** Where something is to stand. */
export interface Place {
  parent: Id;
  index: number;
}

/** A place in words: the section it is in, and what stands before it there. */
export function placeInWords(site: Site, { parent, index }: Place): string {
  const holder = getRecord(site, parent);
  const before = nodesUnder(site, parent)[index - 1];
  let section = holder;
  while (section?.kind === 'widget') section = getRecord(site, section.at.parent);
  const names = [
    isNode(section) && section.id !== parent ? nameOf(site, section.id) : null,
    nameOf(site, parent),
    before === undefined ? 'at the beginning' : `after ${nameOf(site, before)}`,
  ];
  return names.filter(it => it !== null).join(', ');
}

/** Where a page parts to show a place: below what stands outermost in its section there, or inside a section that is empty. */
export function seamAt(site: Site, { parent, index }: Place): Seam | null {
  let at = getRecord(site, nodesUnder(site, parent)[index - 1] ?? parent);
  while (isNode(at)) {
    const outer = getRecord(site, at.at.parent);
    if (at.kind === 'section') return { node: at.id, part: 'inner', side: 'padding-bottom' };
    if (isNode(outer) && outer.kind === 'section')
      return { node: at.id, part: firstPart(elementOfNode(at)), side: 'margin-bottom' };
    at = outer;
  }
  return null;
}
