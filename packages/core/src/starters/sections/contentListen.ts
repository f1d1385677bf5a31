import { audio, download, embed, heading, type SectionStarter, text } from './sketch.ts';

export const contentListen: SectionStarter = {
  id: 'content-listen',
  label: 'To listen to, take home and see elsewhere',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('More to hear and to read'),
    text('What there is, and for whom it is meant.'),
    audio('What there is to hear', 'How long it is'),
    download('The same to read', 'What kind of file it is'),
    embed('A page of somebody else', 'What is shown there'),
  ],
};
