import type { View } from '../canvas/CanvasFrame.tsx';

/** Rows this far out of sight count as seen. */
const MARGIN = '24px';
/** After so long without a colour on its way, in ms, everything is there again for search and for screen readers. */
const REST = 300;

/**
 * Leaves rows out of sight alone while a colour is dragged: all of them inherit it, and working that out takes most of a
 * frame. Only meanwhile, since what is left alone cannot be found or read out.
 */
export class DistantRows {
  private readonly observer: IntersectionObserver;
  private timer = 0;
  /** When a colour was last on its way: one edit alone is no drag. */
  private last = 0;

  constructor(
    private readonly document: Document,
    view: View,
  ) {
    this.observer = new view.IntersectionObserver(
      entries => {
        for (const { target, isIntersecting } of entries)
          if (target instanceof view.HTMLElement) {
            if (isIntersecting) target.dataset.near = '';
            else delete target.dataset.near;
          }
      },
      { rootMargin: MARGIN },
    );
  }

  watch(rows: Iterable<HTMLElement>): void {
    this.observer.disconnect();
    for (const row of rows) this.observer.observe(row);
  }

  /** A colour has altered. */
  leave(): void {
    const now = performance.now();
    const isDrag = now - this.last < REST;
    this.last = now;
    if (!isDrag) return;
    this.document.documentElement.classList.add('dragged');
    clearTimeout(this.timer);
    // A timer of the program's own: the document runs no scripts, and so none of its timers.
    this.timer = window.setTimeout(() => this.document.documentElement.classList.remove('dragged'), REST);
  }

  stop(): void {
    this.observer.disconnect();
    clearTimeout(this.timer);
  }
}
