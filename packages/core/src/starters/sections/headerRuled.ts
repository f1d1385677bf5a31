import { ends, navigation, type SectionStarter, small, title } from './sketch.ts';

export const headerRuled: SectionStarter = {
  id: 'header-ruled',
  label: 'Title above a line',
  purpose: 'header',
  tone: 'plain',
  holds: [
    ends(title, small('A line that says what you do')),
    { widget: 'divider' },
    navigation('Main', 'Wide menus', 'Drops down'),
  ],
};
