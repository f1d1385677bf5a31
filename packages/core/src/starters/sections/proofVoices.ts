import { across, heading, quote, type SectionStarter } from './sketch.ts';

export const proofVoices: SectionStarter = {
  id: 'proof-voices',
  label: 'Three voices',
  purpose: 'proof',
  tone: 'plain',
  holds: [
    heading('What people say'),
    across(
      'Three',
      quote('What changed for them, in their own words.', 'Name, place'),
      quote('What they did not expect.', 'Name, place'),
      quote('Why they would come again.', 'Name, place'),
    ),
  ],
};
