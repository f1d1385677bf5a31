import { heading, type SectionStarter, slide, slides } from './sketch.ts';

export const contentSlides: SectionStarter = {
  id: 'content-slides',
  label: 'Pictures one after another',
  purpose: 'content',
  tone: 'tinted',
  holds: [
    heading('One at a time'),
    slides(
      'One at a time',
      slide('The first thing to see', 'Say what is special about it, in a sentence.'),
      slide('The second thing', 'Say what it goes with, in a sentence.'),
      slide('And the third', 'Say why people come for it, in a sentence.'),
    ),
  ],
};
