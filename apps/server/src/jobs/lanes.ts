import { type JobName, type Lane, Lanes } from '../work/job';
import type { JOBS } from './index';

/** Which of the two threads does a job: what somebody waits for must not stand behind what takes long. */
const LANES: Readonly<Record<keyof typeof JOBS & JobName, Lane>> = {
  acceptSent: 'long',
  archive: 'long',
  findThread: 'quick',
  giveGuideFiles: 'long',
  guideOfSnapshot: 'quick',
  keepGuide: 'long',
  keepSection: 'long',
  keepSnapshot: 'long',
  listKeptSections: 'quick',
  makeSite: 'long',
  packSite: 'long',
  paletteOfSite: 'quick',
  printGuideFile: 'quick',
  printTokens: 'quick',
  publish: 'long',
  readChanges: 'quick',
  readKeptGuide: 'quick',
  readSite: 'quick',
  renderPagePreview: 'quick',
  replaceSite: 'long',
  restoreSnapshot: 'long',
};

export class JobLanes extends Lanes {
  of(job: JobName): Lane {
    return LANES[job];
  }
}
