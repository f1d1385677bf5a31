import type { Site } from '../site/index.ts';

/** A question about a site, and what was answered while a page was made. */
interface Read {
  ask(site: Site): readonly unknown[];
  answer: readonly unknown[];
}

export const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((it, i) => it === b[i]);

/** What a page was told of the rest of the site while it was made: it is as it was for as long as all answers are. */
export class Reads {
  private readonly all: Read[] = [];

  /** Asks now, and remembers the question. */
  ask<T extends readonly unknown[]>(site: Site, question: (site: Site) => T): T {
    const answer = question(site);
    this.all.push({ ask: question, answer });
    return answer;
  }

  hold(site: Site): boolean {
    return this.all.every(({ ask, answer }) => same(ask(site), answer));
  }
}
