import { card, cards, heading, type SectionStarter } from './sketch.ts';

export const featuresCards: SectionStarter = {
  id: 'features-cards',
  label: 'Cards with signs',
  purpose: 'features',
  tone: 'tinted',
  holds: [
    heading('What you can count on'),
    cards(
      card('Reason one', 'What people get, in a sentence or two.', 'star'),
      card('Reason two', 'How it is done, in a sentence or two.', 'clock'),
      card('Reason three', 'What it saves them, in a sentence or two.', 'heart'),
    ),
  ],
};
