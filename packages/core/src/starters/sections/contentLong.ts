import { heading, picture, type SectionStarter, type Sketch, text } from './sketch.ts';

const standing = (it: Sketch, position: string): Sketch => ({ ...it, look: { ...it.look, position } });

export const contentLong: SectionStarter = {
  id: 'content-long',
  label: 'A long read, with pictures',
  purpose: 'content',
  tone: 'plain',
  holds: [
    {
      widget: 'longText',
      holds: [
        heading('The title of the story'),
        text(
          'The first paragraph says what the story is about and why it is told now. Somebody who reads nothing else knows the gist of it.',
        ),
        standing(
          picture('A picture from the story', 'A caption says what the picture does not'),
          'Beside, right',
        ),
        text(
          'The next ones go on from there, one thought to a paragraph. Names, places and numbers make it real.',
          'Short paragraphs are read on small screens; long ones are skipped.',
        ),
        standing(picture('A wider picture', 'A second caption'), 'Wider'),
        text('The last paragraph says what comes next, or what the reader can do.'),
      ],
    },
  ],
};
