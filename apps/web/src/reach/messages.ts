import type {
  Edit,
  Forecast,
  Foundation,
  GuideData,
  GuidePart,
  Id,
  Impact,
  Override,
  Problem,
  Promotion,
  SchemeRecord,
  SiteRecord,
  Slot,
  UnreadableText,
} from '@cove/core';

export interface ReachCount {
  uses: number;
  pages: number;
}
/** One place where something is used; no node for the page itself. */
export interface UsePlace {
  node: Id | null;
  page: Id;
}

/** What comes of a promotion that leaves the thing as it looks: others that carry the same could follow, too. */
export interface PromotionOutlook {
  siblings: readonly Id[];
}

/** What a change did, or would do: what looks different, and which words could be read before it and cannot after. */
export interface Effect {
  impact: Impact;
  unreadable: readonly UnreadableText[];
}

/** What the worker is told of the site, and asked about it. */
export type ToReach =
  | { type: 'all'; records: readonly SiteRecord[] }
  | { type: 'touched'; records: readonly (readonly [Id, SiteRecord | null])[] }
  | { type: 'reach'; ask: number }
  | { type: 'uses'; ask: number; id: Id }
  | { type: 'overrides'; ask: number; page: Id | null }
  | { type: 'impact'; ask: number; edits: readonly Edit[] }
  | { type: 'effect'; ask: number; edits: readonly Edit[]; inverse: readonly Edit[] }
  | { type: 'forecast'; ask: number; edits: readonly Edit[] }
  | { type: 'promotions'; ask: number; id: Id; slots: readonly Slot[]; to: readonly Promotion[] }
  | { type: 'plan'; ask: number; guide: GuideWish };

/** A guide to be taken: a ready-made one by its id, or one with all its records; whole, a foundation of it, or parts by id. */
export interface GuideWish {
  guide: string | GuideData;
  face: SchemeRecord['face'] | null;
  parts?: readonly Id[] | Foundation;
}

/** What taking it comes to. */
export interface GuideOffer {
  edits: readonly Edit[];
  parts: readonly GuidePart[];
  /** Those that are taken; null where all of it is. */
  taken: ReadonlySet<Id> | null;
  /** How many records of the site's own guide stay, since the pages name them. */
  kept: number;
}

export type FromReach =
  | { ask: number; reach: ReadonlyMap<Id, ReachCount> }
  | { ask: number; uses: readonly UsePlace[] }
  | { ask: number; overrides: readonly Override[] }
  | { ask: number; impact: Impact }
  | { ask: number; effect: Effect }
  | { ask: number; forecast: Forecast }
  | { ask: number; promotions: readonly (PromotionOutlook | null)[] }
  | { ask: number; offer: GuideOffer }
  | { ask: number; problem: Problem };
