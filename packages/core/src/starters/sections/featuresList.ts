import { across, column, heading, list, type SectionStarter, text } from './sketch.ts';

export const featuresList: SectionStarter = {
  id: 'features-list',
  label: 'A list beside words',
  purpose: 'features',
  tone: 'plain',
  holds: [
    across(
      'Two',
      column(
        heading('What a ticket holds'),
        text('One price for the whole day, whichever boat you take back.'),
      ),
      list('free', 'Prams and wheelchairs', 'One bag that you can lift', 'Tea from the ramp up'),
    ),
  ],
};
