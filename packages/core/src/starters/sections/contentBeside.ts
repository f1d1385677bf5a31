import { across, button, buttons, column, heading, picture, type SectionStarter, text } from './sketch.ts';

export const contentBeside: SectionStarter = {
  id: 'content-beside',
  label: 'Text beside a picture',
  purpose: 'content',
  tone: 'plain',
  holds: [
    across(
      'Two',
      picture('A picture of your work'),
      column(
        heading('One thing, told well'),
        text('Two or three sentences about one thing you do, as you would tell a friend.'),
        buttons(button('Read more', 'Outlined')),
      ),
    ),
  ],
};
