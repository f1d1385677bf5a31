import { actionOne } from './actionOne.ts';
import { actionTwo } from './actionTwo.ts';
import { contactFind } from './contactFind.ts';
import { contactForm } from './contactForm.ts';
import { contactHelp } from './contactHelp.ts';
import { contactMap } from './contactMap.ts';
import { contentBeside } from './contentBeside.ts';
import { contentGallery } from './contentGallery.ts';
import { contentListen } from './contentListen.ts';
import { contentLong } from './contentLong.ts';
import { contentPicture } from './contentPicture.ts';
import { contentQuestions } from './contentQuestions.ts';
import { contentSlides } from './contentSlides.ts';
import { contentStages } from './contentStages.ts';
import { contentSteps } from './contentSteps.ts';
import { contentTable } from './contentTable.ts';
import { contentTabs } from './contentTabs.ts';
import { contentText } from './contentText.ts';
import { contentVideo } from './contentVideo.ts';
import { featuresCards } from './featuresCards.ts';
import { featuresList } from './featuresList.ts';
import { featuresPictures } from './featuresPictures.ts';
import { featuresThree } from './featuresThree.ts';
import { footerCentred } from './footerCentred.ts';
import { footerColumns } from './footerColumns.ts';
import { footerEnds } from './footerEnds.ts';
import { footerLetter } from './footerLetter.ts';
import { footerPlace } from './footerPlace.ts';
import { footerWords } from './footerWords.ts';
import { headerAction } from './headerAction.ts';
import { headerCentred } from './headerCentred.ts';
import { headerEnds } from './headerEnds.ts';
import { headerLines } from './headerLines.ts';
import { headerNotice } from './headerNotice.ts';
import { headerRuled } from './headerRuled.ts';
import { headerTall } from './headerTall.ts';
import { headerThree } from './headerThree.ts';
import { openingBeside } from './openingBeside.ts';
import { openingNotice } from './openingNotice.ts';
import { openingPicture } from './openingPicture.ts';
import { openingTitle } from './openingTitle.ts';
import { openingWords } from './openingWords.ts';
import { proofFaces } from './proofFaces.ts';
import { proofFigures } from './proofFigures.ts';
import { proofPerson } from './proofPerson.ts';
import { proofQuote } from './proofQuote.ts';
import { proofVoices } from './proofVoices.ts';
import type { SectionStarter } from './sketch.ts';

export { createSection } from './createSection.ts';
export { PURPOSES, type Purpose, type SectionStarter, sharedAreaOf } from './sketch.ts';

/** Ready sections, by purpose. */
export const SECTION_STARTERS: readonly SectionStarter[] = [
  openingBeside,
  openingPicture,
  openingWords,
  openingTitle,
  openingNotice,
  contentText,
  contentLong,
  contentBeside,
  contentPicture,
  contentGallery,
  contentListen,
  contentVideo,
  contentSlides,
  contentTable,
  contentSteps,
  contentStages,
  contentQuestions,
  contentTabs,
  featuresThree,
  featuresCards,
  featuresPictures,
  featuresList,
  proofQuote,
  proofVoices,
  proofFaces,
  proofPerson,
  proofFigures,
  actionOne,
  actionTwo,
  contactForm,
  contactFind,
  contactHelp,
  contactMap,
  headerEnds,
  headerAction,
  headerCentred,
  headerRuled,
  headerNotice,
  headerLines,
  headerThree,
  headerTall,
  footerEnds,
  footerCentred,
  footerColumns,
  footerLetter,
  footerPlace,
  footerWords,
];
