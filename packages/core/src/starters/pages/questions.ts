import { contactFind } from '../sections/contactFind.ts';
import { contentQuestions } from '../sections/contentQuestions.ts';
import { contentSteps } from '../sections/contentSteps.ts';
import { openingTitle } from '../sections/openingTitle.ts';
import type { PageStarter } from './pageStarter.ts';

export const questions: PageStarter = {
  id: 'questions',
  label: 'Questions',
  title: 'Questions',
  sections: [openingTitle, contentQuestions, contentSteps, contactFind],
};
