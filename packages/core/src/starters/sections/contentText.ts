import { heading, type SectionStarter, text } from './sketch.ts';

export const contentText: SectionStarter = {
  id: 'content-text',
  label: 'Running text',
  purpose: 'content',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('How the line began'),
    text(
      'The first boat carried milk, two goats and a letter. It came back with the answer, and since then there has been one every day.',
      'The ships are newer now, and the goats travel free. What has not changed is the crossing: forty minutes when the tide is kind, and a little longer when it is not.',
    ),
  ],
};
