import { across, button, buttons, column, heading, picture, type SectionStarter, text } from './sketch.ts';

export const contentBeside: SectionStarter = {
  id: 'content-beside',
  label: 'Text beside a picture',
  purpose: 'content',
  tone: 'plain',
  holds: [
    across(
      'Two',
      picture('The outer harbour of Carrow at first light'),
      column(
        heading('Carrow, out of season'),
        text('The light is low, the paths are empty, and the bakery opens when the boat is in sight.'),
        buttons(button('Boats to Carrow', 'Outlined')),
      ),
    ),
  ],
};
