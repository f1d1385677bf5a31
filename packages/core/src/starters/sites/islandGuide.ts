import { lampRoom } from '../guides/lampRoom.ts';
import { contact } from '../pages/contact.ts';
import { guideToIslands } from '../pages/guideToIslands.ts';
import { landing } from '../pages/landing.ts';
import type { SiteStarter } from './siteStarter.ts';

export const islandGuide: SiteStarter = {
  id: 'island-guide',
  label: 'A small guide to a place',
  about: 'Three pages on a dark ground: a beginning, the places one by one, and how to reach you.',
  guide: lampRoom,
  face: 'dark',
  pages: [landing, guideToIslands, contact],
  closing: 'Drawn and written on Little Hesk.',
};
