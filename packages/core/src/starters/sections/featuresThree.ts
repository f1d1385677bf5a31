import { across, feature, heading, type SectionStarter } from './sketch.ts';

export const featuresThree: SectionStarter = {
  id: 'features-three',
  label: 'Three in a row',
  purpose: 'features',
  tone: 'plain',
  holds: [
    heading('Before you sail'),
    across(
      'Three',
      feature('Cars', 'Thirty spaces. Be at the ramp twenty minutes early.', { icon: 'car' }),
      feature('Dogs', 'Free on the open deck, all year, on a short lead.', { icon: 'dog' }),
      feature('Bikes', 'Roll on with the foot passengers, racks by the bow.', { icon: 'bike' }),
    ),
  ],
};
