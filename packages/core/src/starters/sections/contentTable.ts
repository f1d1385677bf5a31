import { heading, type SectionStarter, small } from './sketch.ts';

export const contentTable: SectionStarter = {
  id: 'content-table',
  label: 'A table',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('Sailings from Hesk'),
    {
      widget: 'table',
      content: {
        rows: 'To | Leaves | Arrives\nLittle Hesk | 07:10 | 07:25\nCarrow | 07:55 | 08:35\nSant Bree | 09:20 | 10:15',
        caption: 'Weekdays in winter',
      },
    },
    small('Times are those of the outer harbour.'),
  ],
};
