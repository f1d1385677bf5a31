import { heading, list, type SectionStarter } from './sketch.ts';

export const contentSteps: SectionStarter = {
  id: 'content-steps',
  label: 'Steps in order',
  purpose: 'content',
  tone: 'tinted',
  look: { width: 'Text width' },
  holds: [
    heading('How it works'),
    list('numbered', 'The first thing that people do.', 'What you do then.', 'What they have in the end.'),
  ],
};
