import { figure, figures, type SectionStarter } from './sketch.ts';

export const proofFigures: SectionStarter = {
  id: 'proof-figures',
  label: 'Figures in a row',
  purpose: 'proof',
  tone: 'tinted',
  holds: [
    figures(
      figure('120 people', 'A figure that shows how many trust you.'),
      figure('15 years', 'A figure that shows how long you have done it.'),
      figure('2 days', 'A figure that shows how quick you are.'),
    ),
  ],
};
