import { picture, type SectionStarter } from './sketch.ts';

export const contentPicture: SectionStarter = {
  id: 'content-picture',
  label: 'A wide picture',
  purpose: 'content',
  tone: 'plain',
  holds: [
    picture(
      'The sound from the hill above Hesk',
      'The sound from the hill above Hesk, an hour before the last boat',
    ),
  ],
};
