import { getRecord, type Id, isNode, outermost, type Site } from '@cove/core';
import type { View } from '../canvas/CanvasFrame.tsx';
import { PageCanvas } from '../canvas/pageCanvas.ts';
import { type Box, dropOnPage, type PageDrop } from './dropOnPage.ts';

/** From how many px on a press is a drag, and how near to the window's border it scrolls, by how much. */
const DRAG_FROM = 5;
const SCROLL_REACH = 40;
const SCROLL_STEP = 12;

/** What a drag asks and tells; asked anew each time, since it outlives what it was begun with. */
interface Host {
  site(): Site;
  picked(): readonly Id[];
  may(): boolean;
  /** Where the things would come to stand; null for nowhere, or once it is over. */
  show(drop: PageDrop | null): void;
  move(ids: readonly Id[], parent: Id, index: number): void;
}

export const boxOf = (element: Element | null): Box | null => {
  if (!element) return null;
  const { x, y, width, height } = element.getBoundingClientRect();
  return { x, y, width, height };
};

/** Whether a thing is one of some, or stands in one of them. */
function isWithin(site: Site, id: Id, some: readonly Id[]): boolean {
  for (let at = getRecord(site, id); isNode(at); at = getRecord(site, at.at.parent))
    if (some.includes(at.id)) return true;
  return false;
}

/**
 * Lets things be dragged where they stand on the page: what is pressed within what is picked drags that, else itself. Escape
 * leaves everything as it was. Answers whether the last press became a drag, so that the click that ends it picks nothing.
 */
export function letDrag(canvas: PageCanvas, view: View, host: Host): () => boolean {
  const { document } = canvas;
  let dragged = false;
  document.addEventListener('dragstart', event => event.preventDefault());
  document.addEventListener('pointerdown', event => {
    dragged = false;
    const pressed = event.target instanceof view.Element ? event.target : null;
    const hit = PageCanvas.hit(pressed);
    const record = hit && getRecord(host.site(), hit.node);
    const isWritten = pressed instanceof view.HTMLElement && pressed.isContentEditable;
    if (!host.may() || event.button !== 0 || !isNode(record) || isWritten) return;
    const picked = host.picked();
    const ids = outermost(host.site(), isWithin(host.site(), record.id, picked) ? picked : [record.id]);
    const from = { x: event.clientX, y: event.clientY };
    let to: PageDrop | null = null;
    const move = (at: PointerEvent) => {
      if (!dragged && Math.hypot(at.clientX - from.x, at.clientY - from.y) < DRAG_FROM) return;
      if (!dragged) document.getSelection()?.removeAllRanges();
      dragged = true;
      at.preventDefault();
      if (at.clientY < SCROLL_REACH) view.scrollBy(0, -SCROLL_STEP);
      else if (at.clientY > view.innerHeight - SCROLL_REACH) view.scrollBy(0, SCROLL_STEP);
      const under = PageCanvas.hit(document.elementFromPoint(at.clientX, at.clientY))?.node ?? null;
      to = dropOnPage(host.site(), ids, under, { x: at.clientX, y: at.clientY }, id =>
        boxOf(canvas.find(id)),
      );
      host.show(to);
    };
    const end = (over: Event) => {
      document.removeEventListener('pointermove', move);
      document.removeEventListener('pointerup', end);
      document.removeEventListener('pointercancel', end);
      document.removeEventListener('keydown', leave, true);
      host.show(null);
      if (to && over.type === 'pointerup') host.move(ids, to.parent, to.index);
    };
    const leave = (key: KeyboardEvent) => {
      if (key.key !== 'Escape') return;
      key.stopPropagation();
      to = null;
      end(key);
    };
    document.addEventListener('pointermove', move);
    document.addEventListener('pointerup', end);
    document.addEventListener('pointercancel', end);
    document.addEventListener('keydown', leave, true);
  });
  return () => dragged;
}
