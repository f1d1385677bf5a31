import { across, feature, heading, type SectionStarter } from './sketch.ts';

export const featuresThree: SectionStarter = {
  id: 'features-three',
  label: 'Three in a row',
  purpose: 'features',
  tone: 'plain',
  holds: [
    heading('Three good reasons'),
    across(
      'Three',
      feature('Reason one', 'What people get, in a sentence or two.', { icon: 'sun' }),
      feature('Reason two', 'How it is done, in a sentence or two.', { icon: 'heart' }),
      feature('Reason three', 'What it saves them, in a sentence or two.', { icon: 'clock' }),
    ),
  ],
};
