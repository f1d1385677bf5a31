import { button, buttons, heading, lead, type SectionStarter } from './sketch.ts';

export const openingWords: SectionStarter = {
  id: 'opening-words',
  label: 'Large words',
  purpose: 'opening',
  tone: 'tinted',
  look: { padding: 'Roomy' },
  holds: [
    heading('Every day the sea allows', 1),
    lead('Hesk, Little Hesk, Carrow and Sant Bree, from seven in the morning until the last lamp.'),
    buttons(button('See the sailings')),
  ],
};
