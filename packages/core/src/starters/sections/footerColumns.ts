import { across, column, heading, pagesListed, type SectionStarter, small, text, title } from './sketch.ts';

export const footerColumns: SectionStarter = {
  id: 'footer-columns',
  label: 'Three columns',
  purpose: 'footer',
  tone: 'strong',
  holds: [
    across(
      'Three',
      column(title, text('What {name} does, in a line.')),
      column(
        heading('Where to find us', 3),
        text('Street and number, town'),
        text('Open Monday to Saturday'),
      ),
      column(heading('Pages', 3), pagesListed('Footer')),
    ),
    { widget: 'divider' },
    small('© {name}'),
  ],
};
