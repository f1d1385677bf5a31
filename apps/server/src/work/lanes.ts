import type { JOBS } from './jobs';

export type JobName = keyof typeof JOBS;
export type JobArguments<N extends JobName> = Parameters<(typeof JOBS)[N]>[1];
export type JobResult<N extends JobName> = Awaited<ReturnType<(typeof JOBS)[N]>>;

export type Lane = 'quick' | 'long';

/** Which of the two threads does a job: what somebody waits for must not stand behind what takes long. */
export const LANES: Readonly<Record<JobName, Lane>> = {
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
  printTokens: 'quick',
  publish: 'long',
  readChanges: 'quick',
  readKeptGuide: 'quick',
  readSite: 'quick',
  renderPagePreview: 'quick',
  restoreSnapshot: 'long',
};
