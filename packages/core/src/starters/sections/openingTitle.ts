import { heading, type SectionStarter } from './sketch.ts';

export const openingTitle: SectionStarter = {
  id: 'opening-title',
  label: 'A title alone',
  purpose: 'opening',
  tone: 'tinted',
  look: { padding: 'Snug' },
  holds: [heading('Page title', 1)],
};
