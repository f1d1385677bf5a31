import { ends, pagesListed, type SectionStarter, small } from './sketch.ts';

export const footerEnds: SectionStarter = {
  id: 'footer-ends',
  label: 'One line',
  purpose: 'footer',
  tone: 'tinted',
  holds: [ends(small('© {name}'), pagesListed('Footer'))],
};
