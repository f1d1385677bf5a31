import { applyChange, type Site } from '@cove/core';
import type { Waiting } from './waiting.ts';

/** What came of applying some changes, to be gone on from. */
interface Applied {
  confirmed: Site;
  count: number;
  last: Waiting | undefined;
  site: Site;
}

/** A site as the server has it, with the changes on top that were made here and wait to be accepted, in order. */
export class Draft {
  private pending: readonly Waiting[] = [];
  private applied: Applied | null = null;

  constructor(private base: Site) {}

  /** The site as the server has it. */
  get confirmed(): Site {
    return this.base;
  }

  get waiting(): readonly Waiting[] {
    return this.pending;
  }

  has(id: string): boolean {
    return this.pending.some(it => it.id === id);
  }

  add(change: Waiting): void {
    this.pending = [...this.pending, change];
  }

  remove(isGone: (change: Waiting) => boolean): void {
    const rest = this.pending.filter(it => !isGone(it));
    // The same list says that the same waits.
    if (rest.length < this.pending.length) this.pending = rest;
  }

  /** Takes a change into the confirmed site, which is `site` with it; one of those that wait waits no longer. */
  confirm(site: Site, id: string): void {
    const [first] = this.pending;
    const { applied } = this;
    const isWhole = applied?.count === this.pending.length;
    this.base = site;
    this.remove(it => it.id === id);
    // Taking the first of one's own into the confirmed site leaves the draft as it is.
    if (applied && isWhole && first?.id === id)
      this.applied = {
        confirmed: site,
        count: this.pending.length,
        last: this.pending.at(-1),
        site: applied.site,
      };
  }

  /** Lays what waits on another confirmed site. */
  rebase(site: Site): void {
    this.base = site;
  }

  /** The site with all that waits; what cannot be applied is passed over. */
  get site(): Site {
    const { base, pending, applied } = this;
    const last = pending.at(-1);
    const goesOn = applied?.confirmed === base;
    if (goesOn && applied.count === pending.length && applied.last === last) return applied.site;
    let site = base;
    let from = 0;
    if (goesOn && applied.count === pending.length - 1 && pending.at(-2) === applied.last) {
      site = applied.site;
      from = applied.count;
    }
    for (const change of pending.slice(from)) {
      const next = applyChange(site, change);
      if (next.ok) site = next.value.site;
    }
    this.applied = { confirmed: base, count: pending.length, last, site };
    return site;
  }
}
