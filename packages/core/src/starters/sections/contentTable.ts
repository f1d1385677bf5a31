import { heading, type SectionStarter, small, table } from './sketch.ts';

export const contentTable: SectionStarter = {
  id: 'content-table',
  label: 'A table',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('Opening hours'),
    table(
      'All year',
      ['words', 'figures', 'figures'],
      [
        ['Days', 'From', 'Until'],
        ['Monday to Friday', '09:00', '18:00'],
        ['Saturday', '10:00', '16:00'],
        ['Sunday', 'closed', 'closed'],
      ],
    ),
    small('Closed on public holidays.'),
  ],
};
