import { quote, type SectionStarter } from './sketch.ts';

export const proofQuote: SectionStarter = {
  id: 'proof-quote',
  label: 'One voice',
  purpose: 'proof',
  tone: 'strong',
  look: { padding: 'Roomy', width: 'Text width' },
  holds: [
    {
      ...quote('You hear the engine before you see the light.', 'A passenger, on the early boat'),
      look: { look: 'Pull quote' },
    },
  ],
};
