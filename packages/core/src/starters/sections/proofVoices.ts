import { across, heading, quote, type SectionStarter } from './sketch.ts';

export const proofVoices: SectionStarter = {
  id: 'proof-voices',
  label: 'Three voices',
  purpose: 'proof',
  tone: 'plain',
  holds: [
    heading('Heard on deck'),
    across(
      'Three',
      quote('I have not missed the early boat in nine years, and it has not missed me.', 'A baker, Carrow'),
      quote('They kept the ramp down for my grandmother.', 'A visitor, Sant Bree'),
      quote('The tea is strong and the talk is short.', 'A shepherd, Hesk'),
    ),
  ],
};
