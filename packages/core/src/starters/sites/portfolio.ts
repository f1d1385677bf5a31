import { lampRoom } from '../guides/lampRoom.ts';
import { contact } from '../pages/contact.ts';
import { landing } from '../pages/landing.ts';
import { overview } from '../pages/overview.ts';
import type { SiteStarter } from './siteStarter.ts';

export const portfolio: SiteStarter = {
  id: 'portfolio',
  label: 'A small portfolio',
  about: 'Three pages: a beginning, your work piece by piece, and how to reach you',
  guide: lampRoom,
  face: 'dark',
  pages: [landing, overview, contact],
  closing: '© {name}',
};
