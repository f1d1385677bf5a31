import { giveGuideFiles, keepGuide, readKeptGuide } from '../guides/keptGuides.job';
import { makeSite } from '../newSites/makeSite.job';
import { archive } from '../releases/archive.job';
import { publish } from '../releases/publish.job';
import { keepSection, listKeptSections } from '../sections/keptSections.job';
import { paletteOfSite } from '../siteList/palette.job';
import { acceptSent } from '../sites/acceptSent.job';
import { readChanges } from '../sites/readChanges.job';
import { readSite } from '../sites/readSite.job';
import { guideOfSnapshot, keepSnapshot, restoreSnapshot } from '../snapshots/snapshots.job';
import { findThread, printGuideFile, printTokens, renderPagePreview } from '../views/views.job';
import { packSite } from '../wholeSite/packSite.job';
import { replaceSite } from '../wholeSite/replaceSite.job';
import type { Jobs } from '../work/job';

/** Work on whole sites, and on what is too large to be looked at where requests are answered. */
export const JOBS = {
  acceptSent,
  archive,
  findThread,
  giveGuideFiles,
  guideOfSnapshot,
  keepGuide,
  keepSection,
  keepSnapshot,
  listKeptSections,
  makeSite,
  packSite,
  paletteOfSite,
  printGuideFile,
  printTokens,
  publish,
  readChanges,
  readKeptGuide,
  readSite,
  renderPagePreview,
  replaceSite,
  restoreSnapshot,
} as const satisfies Jobs;
