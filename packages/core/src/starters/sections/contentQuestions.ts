import { accordion, entry, heading, type SectionStarter, text } from './sketch.ts';

export const contentQuestions: SectionStarter = {
  id: 'content-questions',
  label: 'Questions and answers',
  purpose: 'content',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('Before you ask'),
    accordion(
      3,
      entry('May the dog come?', text('On the open deck, all year, on a short lead.')),
      entry(
        'What if there is fog?',
        text('The boat waits until the other shore can be seen. Tickets hold for the next one.'),
      ),
      entry(
        'Is there food on board?',
        text('Tea, soup on the late boats, and whatever the baker of Carrow sent along.'),
      ),
    ),
  ],
};
