import { canStandIn, elementOfNode, getRecord, type Id, isNode, nodesUnder, type Site } from '@cove/core';

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
interface Point {
  x: number;
  y: number;
}
export interface PageDrop {
  parent: Id;
  /** Counted without what is dragged. */
  index: number;
  /** Where the line is drawn that shows it. */
  line: Box;
}

/** How much of an empty box, or of the border of one that holds things, stands for beside it. */
const RIM = 10;
const THICK = 3;

const lineBeside = (box: Box, beside: boolean, after: boolean): Box =>
  beside
    ? { x: (after ? box.x + box.width : box.x) - THICK / 2, y: box.y, width: THICK, height: box.height }
    : { x: box.x, y: (after ? box.y + box.height : box.y) - THICK / 2, width: box.width, height: THICK };

/**
 * Where dragged things would come to stand under the pointer: before or after the nearest thing they can stand beside, or
 * in one that is empty. Things that stand beside each other are told by their boxes, whatever arranges them so.
 */
export function dropOnPage(
  site: Site,
  ids: readonly Id[],
  under: Id | null,
  { x, y }: Point,
  boxOf: (id: Id) => Box | null,
): PageDrop | null {
  const fits = (parent: Id) =>
    ids.every(id => {
      const node = getRecord(site, id);
      return isNode(node) && canStandIn(site, node, parent);
    });
  for (
    let at = under === null ? undefined : getRecord(site, under);
    isNode(at);
    at = getRecord(site, at.at.parent)
  ) {
    const box = boxOf(at.id);
    if (!box || ids.includes(at.id)) continue;
    const stay = nodesUnder(site, at.id).filter(id => !ids.includes(id));
    const nearRim =
      y < box.y + RIM || y > box.y + box.height - RIM || x < box.x + RIM || x > box.x + box.width - RIM;
    if (elementOfNode(at).holds !== null && fits(at.id) && !(nearRim && at.kind === 'widget')) {
      const nearest = nearestOf(stay, { x, y }, boxOf);
      if (!nearest) return { parent: at.id, index: 0, line: box };
      return besideOf(at.id, stay, nearest, { x, y }, boxOf);
    }
    const { parent } = at.at;
    if (fits(parent)) {
      const siblings = nodesUnder(site, parent).filter(id => !ids.includes(id));
      return besideOf(parent, siblings, at.id, { x, y }, boxOf);
    }
  }
  return null;
}

/** The one whose box is nearest to a point. */
function nearestOf(ids: readonly Id[], { x, y }: Point, boxOf: (id: Id) => Box | null): Id | null {
  let best: { id: Id; distance: number } | null = null;
  for (const id of ids) {
    const box = boxOf(id);
    if (!box) continue;
    const dx = Math.max(box.x - x, 0, x - box.x - box.width);
    const dy = Math.max(box.y - y, 0, y - box.y - box.height);
    const distance = Math.hypot(dx, dy);
    if (!best || distance < best.distance) best = { id, distance };
  }
  return best?.id ?? null;
}

function besideOf(
  parent: Id,
  siblings: readonly Id[],
  id: Id,
  { x, y }: Point,
  boxOf: (id: Id) => Box | null,
): PageDrop | null {
  const box = boxOf(id);
  if (!box) return null;
  const i = siblings.indexOf(id);
  const neighbour = boxOf(siblings[i + 1] ?? '') ?? boxOf(siblings[i - 1] ?? '');
  const beside =
    neighbour !== null && neighbour.y < box.y + box.height && box.y < neighbour.y + neighbour.height;
  const after = beside ? x > box.x + box.width / 2 : y > box.y + box.height / 2;
  return { parent, index: i + (after ? 1 : 0), line: lineBeside(box, beside, after) };
}
