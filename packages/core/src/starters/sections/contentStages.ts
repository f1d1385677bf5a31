import { heading, type SectionStarter, step, steps, text } from './sketch.ts';

export const contentStages: SectionStarter = {
  id: 'content-stages',
  label: 'Steps explained',
  purpose: 'content',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('How it goes'),
    steps(
      3,
      step('Ask', text('Say how people reach you, and how soon you answer.')),
      step('Choose', text('Say what there is to choose from, and what helps.')),
      step('Arrive', text('Say what they have in the end, and when.')),
    ),
  ],
};
