import { button, ends, navigation, type SectionStarter, small, title } from './sketch.ts';

export const headerLines: SectionStarter = {
  id: 'header-lines',
  label: 'Two lines, how to reach you first',
  purpose: 'header',
  tone: 'tinted',
  holds: [
    ends(small('Open Monday to Saturday, nine to six'), small('Street and number, town')),
    { widget: 'divider' },
    ends(title, button('Write to us', 'Quiet', 'Small')),
    navigation('Main', 'Wide menus', 'From the side'),
  ],
};
