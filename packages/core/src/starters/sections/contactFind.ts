import { across, column, heading, list, type SectionStarter, text } from './sketch.ts';

export const contactFind: SectionStarter = {
  id: 'contact-find',
  label: 'Where to find us',
  purpose: 'contact',
  tone: 'tinted',
  holds: [
    across(
      'Two',
      column(
        heading('The harbour office'),
        text('At the foot of the outer mole, under the blue lamp. Open an hour before the first boat.'),
      ),
      list(
        'free',
        'Ticket window, until the last boat',
        'Waiting room with a stove',
        'Lockers for wet things',
      ),
    ),
  ],
};
