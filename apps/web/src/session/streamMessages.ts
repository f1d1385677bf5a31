import type { Dto } from '../api/client.ts';

/** A change made here: `base` is the number of the last change that was seen when it was made. */
export type MadeChange = Dto['ChangeDto'] & { readonly base: number };

type AcceptedChange = Dto['AcceptedChangeDto'];

/** A change that the server accepted, with its number: one of one’s own, or as it is told of others. */
export type Accepted = MadeChange &
  Pick<AcceptedChange, 'seq'> &
  Partial<Pick<AcceptedChange, 'by' | 'resets'>>;

/** Where somebody is at a site. */
export type Whereabouts = Dto['PlaceDto'];

/** Somebody at the site, in one tab; `place` is null for one who has left. */
export type Presence = Dto['PresenceDto'];

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
