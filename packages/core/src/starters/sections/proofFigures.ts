import { across, column, heading, type SectionStarter, text } from './sketch.ts';

export const proofFigures: SectionStarter = {
  id: 'proof-figures',
  label: 'Figures in a row',
  purpose: 'proof',
  tone: 'tinted',
  holds: [
    across(
      'Three',
      column(heading('Forty minutes'), text('from Hesk to Carrow, when the tide is kind.')),
      column(heading('Two ships'), text('one at sea while the other is in harbour.')),
      column(heading('Every day'), text('the sea allows, and most of those it does not.')),
    ),
  ],
};
