import { heading, list, type SectionStarter } from './sketch.ts';

export const contentSteps: SectionStarter = {
  id: 'content-steps',
  label: 'Steps in order',
  purpose: 'content',
  tone: 'tinted',
  look: { width: 'Text width' },
  holds: [
    heading('Bringing a car'),
    list(
      'numbered',
      'Be at the ramp twenty minutes before the boat leaves.',
      'Follow the deck hand with the lamp, and leave it in gear.',
      'Come up for tea: the car deck is closed at sea.',
    ),
  ],
};
