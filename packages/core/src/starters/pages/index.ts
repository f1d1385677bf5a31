import { about } from './about.ts';
import { contact } from './contact.ts';
import { landing } from './landing.ts';
import { openingHours } from './openingHours.ts';
import { overview } from './overview.ts';
import type { PageStarter } from './pageStarter.ts';
import { questions } from './questions.ts';

export { createPage } from './createPage.ts';
export type { PageStarter } from './pageStarter.ts';

/** Ready pages. */
export const PAGE_STARTERS: readonly PageStarter[] = [
  landing,
  about,
  openingHours,
  overview,
  questions,
  contact,
];
