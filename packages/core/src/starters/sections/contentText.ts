import { heading, type SectionStarter, text } from './sketch.ts';

export const contentText: SectionStarter = {
  id: 'content-text',
  label: 'Running text',
  purpose: 'content',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('How it began'),
    text(
      'Say who began it, where, and with what. A year and a place are worth more than an adjective.',
      'Then say what is different today, and what has stayed the same.',
    ),
  ],
};
