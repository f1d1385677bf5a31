import { driftwood } from './driftwood.ts';
import { lampRoom } from './lampRoom.ts';
import { lichen } from './lichen.ts';
import { logBook } from './logBook.ts';
import { morningQuay } from './morningQuay.ts';
import type { GuideSpec } from './readyGuide.ts';
import { regatta } from './regatta.ts';
import { selvedge } from './selvedge.ts';

export { type GuideSpec, readyGuide, type SwatchGroup } from './readyGuide.ts';

/** Ready-made guides of our own, different in character; each has a light and a dark face. */
export const READY_GUIDES: readonly GuideSpec[] = [
  morningQuay,
  logBook,
  selvedge,
  driftwood,
  regatta,
  lichen,
  lampRoom,
];
