import type { StationName } from '@cove/core';
import type { ComponentType } from 'react';

/** How many of something wait at a station. */
export interface StationCount {
  readonly count: number;
  /** What they are, with their number, in a few words. */
  readonly words: string;
}

/** A place of work: everything that the shell, the routes, the palette and the others at a site know of it. */
export interface Station<Name extends StationName = StationName> {
  readonly name: Name;
  readonly label: string;
  /** What the palette calls going there, and further words by which it is found. */
  readonly open: { readonly label: string; readonly words: string };
  /** What is told beside its name, a hook; null where there is nothing to tell. */
  readonly useCount?: () => StationCount | null;
  /** Paths below `/sites/SITE/`, the station’s own first. */
  readonly paths: readonly [Name, ...string[]];
  /** Fetched when one goes there for the first time. */
  load(): Promise<ComponentType>;
}
