import { accordion, entry, heading, type SectionStarter, text } from './sketch.ts';

export const contentQuestions: SectionStarter = {
  id: 'content-questions',
  label: 'Questions and answers',
  purpose: 'content',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('Questions people ask'),
    accordion(
      3,
      entry('What does it cost?', text('Give the figure, and say what it includes.')),
      entry('How long does it take?', text('Say what is usual, and what makes it longer.')),
      entry('Can I change my mind?', text('Say until when, and how.')),
    ),
  ],
};
