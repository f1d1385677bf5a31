import { heading, type SectionStarter, text, video } from './sketch.ts';

export const contentVideo: SectionStarter = {
  id: 'content-video',
  label: 'A video and what it shows',
  purpose: 'content',
  tone: 'strong',
  holds: [
    heading('See it for yourself'),
    video('What the video shows', 'What it shows, and how long it is'),
    text('What to look out for, in a sentence or two.'),
  ],
};
