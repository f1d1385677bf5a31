import { across, column, heading, type SectionStarter, text } from './sketch.ts';

export const proofFigures: SectionStarter = {
  id: 'proof-figures',
  label: 'Figures in a row',
  purpose: 'proof',
  tone: 'tinted',
  holds: [
    across(
      'Three',
      column(heading('120 people'), text('A figure that shows how many trust you.')),
      column(heading('15 years'), text('A figure that shows how long you have done it.')),
      column(heading('2 days'), text('A figure that shows how quick you are.')),
    ),
  ],
};
