import type { Edit, Id, Impact, Problem, SiteRecord } from '@cove/core';

export interface ReachCount {
  uses: number;
  pages: number;
}
/** One place where something is used; no node for the page itself. */
export interface UsePlace {
  node: Id | null;
  page: Id;
}

/** What the worker is told of the site, and asked about it. */
export type ToReach =
  | { type: 'all'; records: readonly SiteRecord[] }
  | { type: 'touched'; records: readonly (readonly [Id, SiteRecord | null])[] }
  | { type: 'reach'; ask: number }
  | { type: 'uses'; ask: number; id: Id }
  | { type: 'impact'; ask: number; edits: readonly Edit[] };

export type FromReach =
  | { ask: number; reach: ReadonlyMap<Id, ReachCount> }
  | { ask: number; uses: readonly UsePlace[] }
  | { ask: number; impact: Impact }
  | { ask: number; problem: Problem };
