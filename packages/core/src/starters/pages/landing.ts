import { actionOne } from '../sections/actionOne.ts';
import { contentBeside } from '../sections/contentBeside.ts';
import { featuresThree } from '../sections/featuresThree.ts';
import { openingBeside } from '../sections/openingBeside.ts';
import { proofFigures } from '../sections/proofFigures.ts';
import { proofQuote } from '../sections/proofQuote.ts';
import type { PageStarter } from './pageStarter.ts';

export const landing: PageStarter = {
  id: 'landing',
  label: 'Landing page',
  title: 'Home',
  sections: [openingBeside, featuresThree, proofQuote, contentBeside, proofFigures, actionOne],
};
