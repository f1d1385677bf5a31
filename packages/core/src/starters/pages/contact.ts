import { contactFind } from '../sections/contactFind.ts';
import { contactForm } from '../sections/contactForm.ts';
import { openingTitle } from '../sections/openingTitle.ts';
import type { PageStarter } from './pageStarter.ts';

export const contact: PageStarter = {
  id: 'contact',
  label: 'Contact',
  title: 'Contact',
  sections: [openingTitle, contactForm, contactFind],
};
