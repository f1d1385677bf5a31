import type { Dto } from './client.ts';

export type SiteSummary = Dto['SiteSummaryDto'];
export type Release = Dto['ReleaseDto'];
