import { type Color, type Cropping, isLargeText, parseColor, pictureUnder, wantedFor } from '@cove/core';
import type { SampleQuestion } from '../pictures/pictureSampler.ts';

const isOpaque = (color: Color | null): boolean => color !== null && color.alpha >= 0.999;

/** Elements in a document that hold words of their own, inside another. */
function* wordsIn(root: Element): Generator<Element> {
  const view = root.ownerDocument.defaultView;
  if (!view) return;
  for (const element of [root, ...root.querySelectorAll('*')]) {
    const has = [...element.childNodes].some(
      node => node.nodeType === view.Node.TEXT_NODE && (node.textContent ?? '').trim() !== '',
    );
    if (has) yield element;
  }
}

/** Whether something between a text and the picture covers the picture. */
function isCovered(text: Element, ground: Element, within: Element): boolean {
  const view = text.ownerDocument.defaultView;
  for (let at: Element | null = text; at && at !== ground && at !== within; at = at.parentElement) {
    const style = view?.getComputedStyle(at);
    if (style && (isOpaque(parseColor(style.backgroundColor)) || style.backgroundImage !== 'none'))
      return true;
  }
  return false;
}

/**
 * The texts that stand over the picture of a part, where they stand: what of the picture lies under each as it is cropped,
 * and what colour and contrast it has and needs. `holder` is what the texts stand in.
 */
export function textsOver(
  ground: Element,
  holder: Element,
  picture: { width: number; height: number },
): SampleQuestion['texts'] {
  const view = ground.ownerDocument.defaultView;
  if (!view) return [];
  const style = view.getComputedStyle(ground);
  const fixed = style.backgroundAttachment.split(',').at(-1)?.trim() === 'fixed';
  const outer = ground.getBoundingClientRect();
  const last = (list: string) => list.split(',').at(-1)?.trim() ?? '';
  // A picture that stands still while the page moves is cropped to the window.
  const origin = fixed
    ? { x: outer.x, y: 0 }
    : { x: outer.x + ground.clientLeft, y: outer.y + ground.clientTop };
  const cropping: Cropping = {
    box: fixed
      ? { width: view.innerWidth, height: view.innerHeight }
      : { width: ground.clientWidth, height: ground.clientHeight },
    picture,
    size: last(style.backgroundSize),
    position: last(style.backgroundPosition),
  };
  return [...wordsIn(holder)].flatMap(element => {
    if (isCovered(element, ground, holder)) return [];
    const its = view.getComputedStyle(element);
    const color = parseColor(its.color);
    const range = element.ownerDocument.createRange();
    range.selectNodeContents(element);
    const rect = range.getBoundingClientRect();
    if (!color || rect.width === 0 || its.visibility === 'hidden') return [];
    const under = pictureUnder(
      {
        x: rect.x - origin.x,
        y: fixed ? 0 : rect.y - origin.y,
        width: rect.width,
        height: fixed ? view.innerHeight : rect.height,
      },
      cropping,
    );
    if (!under) return [];
    const large = isLargeText(Number.parseFloat(its.fontSize), Number(its.fontWeight));
    return [{ under, shown: { width: rect.width, height: rect.height }, color, wanted: wantedFor(large) }];
  });
}
