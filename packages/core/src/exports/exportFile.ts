import type { Site } from '../site/index.ts';

/** Names of the files, which addresses of releases end in. */
export type ExportName = 'tokens.json' | 'tokens.resolver.json' | 'guide.css' | 'theme.css' | 'guide.ts';

/** One open format in which a guide leaves the program. */
export interface ExportFile {
  id: string;
  label: string;
  /** What it is for, in a line. */
  about: string;
  /** Its name as a file, and where it lies among what a release publishes. */
  file: ExportName;
  /** Media type. */
  type: string;
  print(site: Site): string;
}
