import { centred, pagesListed, type SectionStarter, small, title } from './sketch.ts';

export const footerCentred: SectionStarter = {
  id: 'footer-centred',
  label: 'Centred',
  purpose: 'footer',
  tone: 'plain',
  holds: [centred(title), centred(pagesListed('Footer')), centred(small('© {name}'))],
};
