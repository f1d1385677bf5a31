import type { Change } from '@cove/core';

/** A change that the server accepted, with its number. */
export interface Accepted extends Change {
  seq: number;
  /** Name of who made it. */
  by?: string;
}

/** From a tab to the worker that holds the stream. */
export type ToStream = { type: 'join'; site: string; after: number } | { type: 'leave' };
/** From the stream to each tab. */
export type FromStream = { type: 'change'; change: Accepted } | { type: 'reset' } | { type: 'open' };
