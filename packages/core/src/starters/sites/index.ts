import { bareSite } from './bareSite.ts';
import { business } from './business.ts';
import { portfolio } from './portfolio.ts';
import type { SiteStarter } from './siteStarter.ts';

export { createSite } from './createSite.ts';
export type { SiteStarter } from './siteStarter.ts';

/** Ready sites; a new one begins as one of them. */
export const SITE_STARTERS: readonly SiteStarter[] = [business, portfolio, bareSite];
export { neutralSite } from './neutralSite.ts';
