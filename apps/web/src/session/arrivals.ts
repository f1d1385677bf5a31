import type { Accepted } from './streamMessages.ts';

/** How long, in ms, a missing change is waited for. */
const GAP = 1500;

/** Accepted changes that have come and are to be applied in the order of their numbers, whatever order they came in. */
export class Arrivals {
  private readonly ahead = new Map<number, Accepted>();
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** `lost` is called where a change that is missing does not come. */
  constructor(private readonly lost: () => void) {}

  /** Takes in a change; `seq` is the number of the last one that was applied. */
  add(change: Accepted, seq: number): void {
    this.ahead.set(change.seq, change);
    if (change.seq > seq + 1) this.waitForGap();
  }

  /** The change that follows the one numbered `seq`, where it has come; it is given once. */
  after(seq: number): Accepted | undefined {
    const next = this.ahead.get(seq + 1);
    this.ahead.delete(seq + 1);
    return next;
  }

  /** Forgets what is part of the site as it was read. */
  forgetUpTo(seq: number): void {
    for (const it of this.ahead.keys()) if (it <= seq) this.ahead.delete(it);
  }

  private waitForGap(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      if (this.ahead.size > 0) this.lost();
    }, GAP);
  }

  /** Says after a while that something is lost, whatever comes. */
  loseLater(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(this.lost, GAP);
  }

  /** Stops waiting for what is missing. */
  stop(): void {
    clearTimeout(this.timer);
  }
}
