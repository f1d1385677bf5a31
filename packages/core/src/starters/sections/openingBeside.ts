import { across, button, buttons, column, heading, lead, picture, type SectionStarter } from './sketch.ts';

export const openingBeside: SectionStarter = {
  id: 'opening-beside',
  label: 'Words beside a picture',
  purpose: 'opening',
  tone: 'strong',
  look: { padding: 'Roomy' },
  holds: [
    across(
      'Two',
      column(
        heading('{name}', 1),
        lead('Say what you offer, to whom, and what makes it yours, in two lines.'),
        buttons(button('Get started'), button('See how it works', 'Outlined')),
      ),
      picture('A picture that shows what you do'),
    ),
  ],
};
