import { button, buttons, heading, lead, type SectionStarter } from './sketch.ts';

export const openingWords: SectionStarter = {
  id: 'opening-words',
  label: 'Large words',
  purpose: 'opening',
  tone: 'tinted',
  look: { padding: 'Roomy' },
  holds: [
    heading('Say it in a few large words', 1),
    lead('Then add what people need to know first: what, where, and when.'),
    buttons(button('See what we do')),
  ],
};
