import { heading, type SectionStarter, small, table } from './sketch.ts';

export const contentTable: SectionStarter = {
  id: 'content-table',
  label: 'A table',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('Sailings from Hesk'),
    table(
      'Weekdays in winter',
      ['words', 'figures', 'figures'],
      [
        ['To', 'Leaves', 'Arrives'],
        ['Little Hesk', '07:10', '07:25'],
        ['Carrow', '07:55', '08:35'],
        ['Sant Bree', '09:20', '10:15'],
      ],
    ),
    small('Times are those of the outer harbour.'),
  ],
};
