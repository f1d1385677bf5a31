import type { View } from '../canvas/CanvasFrame.tsx';

/** How long it waits for a quiet moment, in ms. */
const LONGEST = 600;

/** Less than this is no longer looked at but guessed. */
const LEAST = 0.4;

/**
 * Makes the samples of a row smaller where a word is wider than its cell, all of a row alike so that they can be compared.
 * Only rows in view are looked at, when there is nothing else to do.
 */
export class RowFitter {
  private readonly inView = new Set<HTMLElement>();
  private readonly observer: IntersectionObserver;
  private asked = 0;

  constructor(private readonly view: View) {
    this.observer = new view.IntersectionObserver(entries => {
      for (const { target, isIntersecting } of entries) {
        if (!(target instanceof view.HTMLElement)) continue;
        if (isIntersecting) this.inView.add(target);
        else this.inView.delete(target);
      }
      this.ask();
    });
  }

  /** Looks after other rows from now on. */
  watch(rows: Iterable<HTMLElement>): void {
    this.observer.disconnect();
    this.inView.clear();
    for (const row of rows) this.observer.observe(row);
  }

  /** Something may have grown or shrunk. */
  ask(): void {
    if (this.asked !== 0) return;
    this.asked = this.view.requestIdleCallback(
      () => {
        this.asked = 0;
        this.fit();
      },
      { timeout: LONGEST },
    );
  }

  stop(): void {
    this.observer.disconnect();
    if (this.asked !== 0) this.view.cancelIdleCallback(this.asked);
  }

  /** First all at full size, then all looked at, then all set: one layout for the whole, not one for each. */
  private fit(): void {
    for (const row of this.inView) row.style.removeProperty('--fit');
    const shares = [...this.inView].map(row => {
      const cells = [...row.querySelectorAll<HTMLElement>('.inner')];
      return Math.min(...cells.map(({ clientWidth, scrollWidth }) => clientWidth / scrollWidth));
    });
    for (const [i, row] of [...this.inView].entries()) {
      const share = shares[i] ?? 1;
      if (share < 1) row.style.setProperty('--fit', String(Math.max(LEAST, Math.floor(share * 100) / 100)));
    }
  }
}
