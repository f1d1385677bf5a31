import { about } from './about.ts';
import { contact } from './contact.ts';
import { guideToIslands } from './guideToIslands.ts';
import { landing } from './landing.ts';
import type { PageStarter } from './pageStarter.ts';
import { questions } from './questions.ts';
import { timetable } from './timetable.ts';

export { createPage } from './createPage.ts';
export type { PageStarter } from './pageStarter.ts';

/** Ready pages. */
export const PAGE_STARTERS: readonly PageStarter[] = [
  landing,
  about,
  timetable,
  guideToIslands,
  questions,
  contact,
];
