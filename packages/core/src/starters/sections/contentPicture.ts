import { picture, type SectionStarter } from './sketch.ts';

export const contentPicture: SectionStarter = {
  id: 'content-picture',
  label: 'A wide picture',
  purpose: 'content',
  tone: 'plain',
  holds: [picture('A wide picture', 'A caption in one line')],
};
