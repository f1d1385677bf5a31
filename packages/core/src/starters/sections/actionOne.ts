import { button, buttons, heading, type SectionStarter, text } from './sketch.ts';

export const actionOne: SectionStarter = {
  id: 'action-one',
  label: 'One thing to do',
  purpose: 'action',
  tone: 'strong',
  holds: [
    heading('Ready when you are'),
    text('Say in a sentence what happens after they press the button, and how long it takes.'),
    buttons(button('Get started')),
  ],
};
