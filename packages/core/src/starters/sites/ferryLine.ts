import { morningQuay } from '../guides/morningQuay.ts';
import { about } from '../pages/about.ts';
import { contact } from '../pages/contact.ts';
import { landing } from '../pages/landing.ts';
import { questions } from '../pages/questions.ts';
import { timetable } from '../pages/timetable.ts';
import type { SiteStarter } from './siteStarter.ts';

export const ferryLine: SiteStarter = {
  id: 'ferry-line',
  label: 'A line with a timetable',
  about: 'Five pages: what you offer, when, what people ask, who you are, and how to reach you.',
  guide: morningQuay,
  face: 'light',
  pages: [landing, timetable, questions, about, contact],
  closing: 'Every day the sea allows.',
};
