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
        heading('The early boat is worth it', 1),
        lead('Four islands, two ships, and a crossing short enough for one pot of tea.'),
        buttons(button('Book a crossing'), button('Today’s sailings', 'Outlined')),
      ),
      picture('A ferry leaving the quay under a low sun'),
    ),
  ],
};
