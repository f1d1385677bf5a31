import { heading, type SectionStarter, text } from './sketch.ts';

export const contentQuestions: SectionStarter = {
  id: 'content-questions',
  label: 'Questions and answers',
  purpose: 'content',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('Before you ask'),
    heading('May the dog come?', 3),
    text('On the open deck, all year, on a short lead.'),
    heading('What if there is fog?', 3),
    text('The boat waits until the other shore can be seen. Tickets hold for the next one.'),
    heading('Is there food on board?', 3),
    text('Tea, soup on the late boats, and whatever the baker of Carrow sent along.'),
  ],
};
