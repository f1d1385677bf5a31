import { actionOne } from '../sections/actionOne.ts';
import { featuresPictures } from '../sections/featuresPictures.ts';
import { openingWords } from '../sections/openingWords.ts';
import { proofQuote } from '../sections/proofQuote.ts';
import type { PageStarter } from './pageStarter.ts';

export const guideToIslands: PageStarter = {
  id: 'guide-to-islands',
  label: 'Overview with cards',
  title: 'Islands',
  sections: [openingWords, featuresPictures, proofQuote, actionOne],
};
