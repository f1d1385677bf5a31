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
        heading('The lamp at Sant Bree'),
        text(
          'For forty years nobody climbed the tower. The lens stood in the harbour office under a cloth, and the keeper’s house had a tree in its kitchen.',
        ),
        standing(picture('The tower at dusk', 'Relit in spring'), 'Beside, right'),
        text(
          'It took two winters to bring it back. The stairs came first, then the glass, a pane at a time, by the boat that also brings the bread.',
          'Now it is shown on Fridays, in groups of six, to whoever does not mind a hundred and four steps.',
        ),
        standing(picture('The islands from above', 'All four islands from the gallery'), 'Wider'),
        text('Bring a coat. The last boat waits until the last of you is down.'),
      ],
    },
  ],
};
