import { across, column, heading, navigation, type SectionStarter, small, text, title } from './sketch.ts';

export const footerColumns: SectionStarter = {
  id: 'footer-columns',
  label: 'Three columns',
  purpose: 'footer',
  tone: 'strong',
  holds: [
    across(
      'Three',
      column(title, text('Boats to four islands, every day that the sea allows.')),
      column(
        heading('Where to find us', 3),
        text('The harbour office, under the blue lamp.'),
        text('Open an hour before the first boat.'),
      ),
      column(heading('Pages', 3), navigation('Footer')),
    ),
    { widget: 'divider' },
    small('All times are local. In fog we wait.'),
  ],
};
