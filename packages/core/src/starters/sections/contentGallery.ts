import { gallery, heading, type SectionStarter } from './sketch.ts';

export const contentGallery: SectionStarter = {
  id: 'content-gallery',
  label: 'Pictures at a glance',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('A closer look'),
    gallery(
      'What is to be seen here',
      'And here',
      'Something people ask about',
      'Where it happens',
      'Who is there',
      'How it looks when it is done',
    ),
  ],
};
