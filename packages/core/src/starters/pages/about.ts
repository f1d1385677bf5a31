import { contactFind } from '../sections/contactFind.ts';
import { contentPicture } from '../sections/contentPicture.ts';
import { contentText } from '../sections/contentText.ts';
import { openingTitle } from '../sections/openingTitle.ts';
import { proofVoices } from '../sections/proofVoices.ts';
import type { PageStarter } from './pageStarter.ts';

export const about: PageStarter = {
  id: 'about',
  label: 'About',
  title: 'About us',
  sections: [openingTitle, contentText, contentPicture, proofVoices, contactFind],
};
