import { ends, navigation, type SectionStarter, title } from './sketch.ts';

export const headerEnds: SectionStarter = {
  id: 'header-ends',
  label: 'Title and navigation',
  purpose: 'header',
  tone: 'plain',
  holds: [ends(title, navigation('Main'))],
};
