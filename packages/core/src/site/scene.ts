import type { Chain } from './chain.ts';
import type { Id, SiteRecord } from './records.ts';
import type { Lookup } from './site.ts';

/** What an invariant looks at: the site as it was, and as the change leaves it. */
export interface Scene {
  lookup: Lookup;
  after: ReadonlyMap<Id, SiteRecord | null>;
  get(id: Id): SiteRecord | undefined;
  childrenNow(id: Id): readonly Id[];
  /** Touched pages by place and address. */
  touchedAt(parent: Id, path: string): readonly Id[];
  /** Chains that have an end, each with what it is made of. */
  following: Chain;
  falling: Chain;
  including: Chain;
}
