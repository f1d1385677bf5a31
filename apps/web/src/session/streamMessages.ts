import type { Change, Id, StationName } from '@cove/core';

/** A change made here: `base` is the number of the last change that was seen when it was made. */
export interface MadeChange extends Change {
  base: number;
  /** The schema its edits have; the first where it was made before changes bore one. */
  schema?: number;
}

/** A change that the server accepted, with its number. */
export interface Accepted extends MadeChange {
  seq: number;
  /** Name of who made it; null for what the program did itself. */
  by?: string | null;
  /** The whole site is another since: it was upgraded, or a backup was restored. */
  resets?: 'upgrade' | 'restore';
}

/** Where somebody is at a site. */
export interface Whereabouts {
  station: StationName;
  page?: Id;
  node?: Id;
}

/** Somebody at the site, in one tab; `place` is null for one who has left. */
export interface Presence {
  client: string;
  name: string;
  account: string;
  place: Whereabouts | null;
}

/** From a tab to the worker that holds the stream. */
export type ToStream = { type: 'join'; site: string; after: number } | { type: 'leave' };
/** From the stream to each tab. */
export type FromStream =
  | { type: 'change'; change: Accepted }
  | { type: 'presence'; people: readonly Presence[] }
  /** Who may do what has changed. */
  | { type: 'members' }
  /** A release has come further, or another one is seen by visitors. */
  | { type: 'releases' }
  /** One may no longer listen: the session has ended, or one is no longer a member. */
  | { type: 'gone' }
  | { type: 'reset' }
  /** The server is of another version than this page. */
  | { type: 'renewed' }
  | { type: 'open' };
