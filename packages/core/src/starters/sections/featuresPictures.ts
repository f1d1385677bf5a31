import { across, feature, heading, PICTURE, type SectionStarter } from './sketch.ts';

export const featuresPictures: SectionStarter = {
  id: 'features-pictures',
  label: 'Cards with pictures',
  purpose: 'features',
  tone: 'tinted',
  holds: [
    heading('What we do'),
    across(
      'Two',
      feature('First', 'What it is, and whom it is for, in a sentence.', { asset: PICTURE }),
      feature('Second', 'What it is, and whom it is for, in a sentence.', { asset: PICTURE }),
      feature('Third', 'What it is, and whom it is for, in a sentence.', { asset: PICTURE }),
      feature('Fourth', 'What it is, and whom it is for, in a sentence.', { asset: PICTURE }),
    ),
  ],
};
