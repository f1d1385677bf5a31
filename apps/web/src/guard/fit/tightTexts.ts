import type { Id } from '@cove/core';
import type { View } from '../../canvas/CanvasFrame.tsx';
import { PageCanvas } from '../../canvas/pageCanvas.ts';

/** Px by which words may stand out before they are held not to fit: boxes are rounded, and so are advances. */
const SLACK = 1;
/** A box of this size or less is there for those who listen, not for those who look. */
const UNSEEN = 1;

/** A part of an item, by which its texts are known. */
export interface TightText {
  node: Id;
  part: string;
}

interface Place {
  left: number;
  right: number;
  bottom: number;
  /** What stands out below is cut off. */
  cuts: boolean;
  /** What stands out at its side is scrolled to. */
  scrolls: boolean;
  /** Nothing around it holds it. */
  free: boolean;
  unseen: boolean;
}

/**
 * The parts whose words stand out of the boxes they are in, or are cut off by them, as the document is laid out now. Words
 * that can be scrolled to fit, and so does what nobody sees. The document must not break words to make them fit.
 */
export function tightTexts(document: Document, view: View): TightText[] {
  const places = new Map<Element, Place | null>();
  const placeOf = (element: Element): Place | null => {
    const known = places.get(element);
    if (known !== undefined) return known;
    const { display, overflowX, overflowY, position } = view.getComputedStyle(element);
    const box = element.getBoundingClientRect();
    const place =
      display === 'inline' || display === 'contents'
        ? null
        : {
            left: box.left,
            right: box.right,
            bottom: box.bottom,
            cuts: overflowY === 'hidden' || overflowY === 'clip',
            scrolls: overflowX === 'auto' || overflowX === 'scroll',
            free: position === 'absolute' || position === 'fixed',
            unseen: box.width <= UNSEEN || box.height <= UNSEEN,
          };
    places.set(element, place);
    return place;
  };
  const standsOut = (text: Text): boolean => {
    const range = document.createRange();
    range.selectNodeContents(text);
    const words = range.getBoundingClientRect();
    if (words.width === 0 || words.height === 0) return false;
    let isOut = words.right > document.documentElement.clientWidth + SLACK || words.left < -SLACK;
    for (let at = text.parentElement; at && at !== document.body; at = at.parentElement) {
      const place = placeOf(at);
      if (!place) continue;
      if (place.unseen || place.scrolls) return false;
      isOut ||=
        words.right > place.right + SLACK ||
        words.left < place.left - SLACK ||
        (place.cuts && words.bottom > place.bottom + SLACK);
      if (place.free) break;
    }
    return isOut;
  };

  const found = new Map<string, TightText>();
  const walker = document.createTreeWalker(document.body, view.NodeFilter.SHOW_TEXT);
  for (let text = walker.nextNode(); text; text = walker.nextNode()) {
    const parent = text.parentElement;
    const at = text.nodeValue?.trim() ? PageCanvas.hit(parent) : null;
    if (!parent || !at || found.has(`${at.node} ${at.part}`)) continue;
    if (parent.checkVisibility() && standsOut(text as Text)) found.set(`${at.node} ${at.part}`, at);
  }
  return [...found.values()];
}
