import { actionOne } from '../sections/actionOne.ts';
import { featuresPictures } from '../sections/featuresPictures.ts';
import { openingWords } from '../sections/openingWords.ts';
import { proofQuote } from '../sections/proofQuote.ts';
import type { PageStarter } from './pageStarter.ts';

export const overview: PageStarter = {
  id: 'overview',
  label: 'Overview with cards',
  title: 'What we do',
  sections: [openingWords, featuresPictures, proofQuote, actionOne],
};
