import type { View } from './CanvasFrame.tsx';

/** What is typed into, where keys are words. */
const TYPED = 'input:not([type=range]), textarea, select, [contenteditable=true]';

/** Keys pressed inside a frame and not taken there are the program's as much as those outside it. */
export function forwardKeys(frame: HTMLIFrameElement, document: Document, view: View): void {
  document.addEventListener('keydown', event => {
    if (event.defaultPrevented) return;
    if (event.target instanceof view.Element && event.target.closest(TYPED)) return;
    const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
    const copy = new KeyboardEvent('keydown', {
      key,
      ctrlKey,
      metaKey,
      shiftKey,
      altKey,
      bubbles: true,
      cancelable: true,
    });
    if (!frame.dispatchEvent(copy)) event.preventDefault();
  });
}
