import { morningQuay } from '../guides/morningQuay.ts';
import { about } from '../pages/about.ts';
import { contact } from '../pages/contact.ts';
import { landing } from '../pages/landing.ts';
import { openingHours } from '../pages/openingHours.ts';
import { questions } from '../pages/questions.ts';
import type { SiteStarter } from './siteStarter.ts';

export const business: SiteStarter = {
  id: 'business',
  label: 'A business with opening hours',
  about: 'Five pages: what you offer, when you are open, what people ask, who you are, and how to reach you',
  guide: morningQuay,
  face: 'light',
  pages: [landing, openingHours, questions, about, contact],
  closing: '© {name}',
};
