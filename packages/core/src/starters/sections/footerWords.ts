import {
  button,
  buttons,
  centred,
  ends,
  heading,
  pagesListed,
  type SectionStarter,
  small,
  space,
} from './sketch.ts';

export const footerWords: SectionStarter = {
  id: 'footer-words',
  label: 'A last word',
  purpose: 'footer',
  tone: 'strong',
  look: { padding: 'Roomy' },
  holds: [
    centred(heading('Shall we begin?', 2), buttons(button('Write to us'))),
    space,
    ends(small('© {name}'), pagesListed('Footer')),
  ],
};
