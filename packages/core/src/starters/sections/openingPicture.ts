import { button, buttons, heading, lead, pictureText, type SectionStarter, space } from './sketch.ts';

export const openingPicture: SectionStarter = {
  id: 'opening-picture',
  label: 'A picture and words',
  purpose: 'opening',
  tone: 'plain',
  look: { padding: 'Roomy' },
  holds: [
    pictureText(
      'A picture that shows what you do',
      heading('{name}', 1),
      lead('Say what you offer, to whom, and what makes it yours, in two lines.'),
      space,
      buttons(button('Get started')),
    ),
  ],
};
