import type { SectionStarter } from '../sections/sketch.ts';

/** A ready page: ready sections in an order in which a busy one is followed by a calm one. */
export interface PageStarter {
  id: string;
  label: string;
  /** What the page is called until it is named. */
  title: string;
  sections: readonly SectionStarter[];
}
