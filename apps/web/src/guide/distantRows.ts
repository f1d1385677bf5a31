import type { View } from '../canvas/CanvasFrame.tsx';

/** Rows this far out of sight, in px, count as seen. */
const MARGIN = 24;
/** After so long without a colour on its way, in ms, everything is there again for search and for screen readers. */
const REST = 300;

/**
 * Leaves rows out of sight alone while a colour is dragged: all of them inherit it, and working that out takes most of a
 * frame. Only meanwhile, since what is left alone cannot be found or read out.
 */
export class DistantRows {
  private rows: readonly HTMLElement[] = [];
  private timer = 0;
  /** When a colour was last on its way: one edit alone is no drag. */
  private last = 0;
  private readonly onScroll = () => {
    if (this.isLeaving) this.markNear();
  };

  constructor(
    private readonly document: Document,
    private readonly view: View,
  ) {
    document.addEventListener('scroll', this.onScroll, { passive: true });
  }

  watch(rows: Iterable<HTMLElement>): void {
    this.rows = [...rows];
    if (this.isLeaving) this.markNear();
  }

  private get isLeaving(): boolean {
    return this.document.documentElement.classList.contains('dragged');
  }

  /** Says which rows are in sight now: it is looked at here, since whoever watches rows hears of them a frame or more later. */
  private markNear(): void {
    const { innerHeight } = this.view;
    const near = this.rows.map(row => {
      const { top, bottom } = row.getBoundingClientRect();
      return bottom > -MARGIN && top < innerHeight + MARGIN;
    });
    for (const [i, row] of this.rows.entries()) row.toggleAttribute('data-near', near[i]);
  }

  /** A colour is about to alter; before that, while the rows are laid out, so that looking at them costs nothing. */
  leave(): void {
    const now = performance.now();
    const isDrag = now - this.last < REST;
    this.last = now;
    if (!isDrag) return;
    if (!this.isLeaving) {
      this.markNear();
      this.document.documentElement.classList.add('dragged');
    }
    clearTimeout(this.timer);
    // A timer of the program's own: the document runs no scripts, and so none of its timers.
    this.timer = window.setTimeout(() => this.document.documentElement.classList.remove('dragged'), REST);
  }

  stop(): void {
    this.document.removeEventListener('scroll', this.onScroll);
    clearTimeout(this.timer);
  }
}
