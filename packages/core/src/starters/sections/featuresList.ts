import { across, column, heading, list, type SectionStarter, text } from './sketch.ts';

export const featuresList: SectionStarter = {
  id: 'features-list',
  label: 'A list beside words',
  purpose: 'features',
  tone: 'plain',
  holds: [
    across(
      'Two',
      column(heading('What is included'), text('One sentence that sums up the offer.')),
      list('free', 'The first thing people get', 'The second thing', 'Something they did not expect'),
    ),
  ],
};
