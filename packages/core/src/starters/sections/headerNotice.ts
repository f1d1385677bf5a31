import { centred, ends, navigation, type SectionStarter, small, title } from './sketch.ts';

export const headerNotice: SectionStarter = {
  id: 'header-notice',
  label: 'With news above',
  purpose: 'header',
  tone: 'strong',
  holds: [
    centred(small('News that everybody should see, in one line.')),
    { widget: 'divider' },
    ends(title, navigation('Main', 'Menus', 'Bottom bar')),
  ],
};
