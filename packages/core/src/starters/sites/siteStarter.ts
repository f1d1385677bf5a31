import type { GuideSpec } from '../guides/index.ts';
import type { PageStarter } from '../pages/index.ts';

/** A ready site: a ready-made guide, header and footer, and pages, of which the first is the home page. */
export interface SiteStarter {
  id: string;
  label: string;
  /** What it is for, in a line. */
  about: string;
  guide: GuideSpec;
  face: 'light' | 'dark';
  pages: readonly PageStarter[];
  /** A line at the end of every page. */
  closing: string;
}
