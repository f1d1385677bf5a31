import { quote, type SectionStarter } from './sketch.ts';

export const proofQuote: SectionStarter = {
  id: 'proof-quote',
  label: 'One voice',
  purpose: 'proof',
  tone: 'strong',
  look: { padding: 'Roomy', width: 'Text width' },
  holds: [
    {
      ...quote('What somebody said about you, in their own words.', 'Who said it'),
      look: { look: 'Pull quote' },
    },
  ],
};
