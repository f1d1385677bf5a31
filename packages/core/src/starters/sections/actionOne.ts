import { button, buttons, heading, type SectionStarter, text } from './sketch.ts';

export const actionOne: SectionStarter = {
  id: 'action-one',
  label: 'One thing to do',
  purpose: 'action',
  tone: 'strong',
  holds: [
    heading('The next boat has room'),
    text('Book until an hour before it leaves; foot passengers need no ticket in winter.'),
    buttons(button('Book a crossing')),
  ],
};
