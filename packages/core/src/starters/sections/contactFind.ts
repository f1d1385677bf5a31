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
        heading('Visit us'),
        text('Street and number, town, and how to find the door. Opening hours by day.'),
      ),
      list('free', 'The nearest stop or station', 'Where to park a car or a bike', 'Step-free access'),
    ),
  ],
};
