import { across, feature, heading, PICTURE, type SectionStarter } from './sketch.ts';

export const featuresPictures: SectionStarter = {
  id: 'features-pictures',
  label: 'Cards with pictures',
  purpose: 'features',
  tone: 'tinted',
  holds: [
    heading('Four islands'),
    across(
      'Two',
      feature('Hesk', 'The long one. A ridge walk from end to end takes a morning.', { asset: PICTURE }),
      feature('Little Hesk', 'Reached on foot at low tide, by boat at any other.', { asset: PICTURE }),
      feature('Carrow', 'Bread, sheep and the best harbour of the four.', { asset: PICTURE }),
      feature('Sant Bree', 'The far one, with the lamp that all the others steer by.', { asset: PICTURE }),
    ),
  ],
};
