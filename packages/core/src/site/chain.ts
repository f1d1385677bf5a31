import { longestWays } from '../graph/index.ts';
import type { Problem } from '../result/index.ts';
import type { Id, SiteRecord } from './records.ts';
import type { Lookup } from './site.ts';

export const circle = (record: Id, id: Id, path: string): Problem => ({
  code: 'circular',
  message: `${id} would follow itself.`,
  record,
  path,
  found: id,
  expected: 'a value that does not lead back here',
});

export const tooDeep = (record: Id, path: string, thing: string, most: number): Problem => ({
  code: 'too-deep',
  message: `There can be at most ${most} ${thing}.`,
  record,
  path,
  found: `more than ${most}`,
  expected: `at most ${most}`,
});

export interface ChainSpec {
  lookup: Lookup;
  after: ReadonlyMap<Id, SiteRecord | null>;
  most: number;
  /** First step of the paths at which one names the next. */
  field: string;
  thing: string;
  next(id: Id): readonly Id[];
}

/** Records of one kind that lead to one another: never in a circle, and never further than so many steps. */
export class Chain {
  private readonly below: ReturnType<typeof longestWays<Id>>;
  private readonly above: ReturnType<typeof longestWays<Id>>;
  /** What the touched records lead to now, turned round. */
  private touched: Map<Id, Id[]> | null = null;

  constructor(private readonly spec: ChainSpec) {
    this.below = longestWays(id => spec.next(id), spec.most);
    this.above = longestWays(id => this.leadingTo(id), spec.most);
  }

  private leadingTo(id: Id): readonly Id[] {
    const { after, lookup, field, next } = this.spec;
    if (!this.touched) {
      this.touched = new Map();
      for (const [from, record] of after)
        for (const to of record ? next(from) : []) {
          const there = this.touched.get(to);
          if (there) there.push(from);
          else this.touched.set(to, [from]);
        }
    }
    const stored: Id[] = [];
    for (const { from, path } of lookup.referrersOf(id))
      if ((path === field || path.startsWith(`${field}.`)) && !after.has(from)) stored.push(from);
    return [...stored, ...(this.touched.get(id) ?? [])];
  }

  /** `isNew`: what leads to a new record is new as well, and is looked at in its turn. */
  check(id: Id, isNew: boolean): Problem | null {
    const { most, field, thing } = this.spec;
    const below = this.below(id);
    if (below === 'circular') return circle(id, id, field);
    if (below === 'too-long') return tooDeep(id, field, thing, most);
    if (below === 0 || isNew) return null;
    const above = this.above(id);
    return typeof above === 'number' && above + below <= most ? null : tooDeep(id, field, thing, most);
  }
}
