import { centred, navigation, type SectionStarter, title } from './sketch.ts';

export const headerCentred: SectionStarter = {
  id: 'header-centred',
  label: 'Centred',
  purpose: 'header',
  tone: 'tinted',
  holds: [centred(title), centred(navigation('Main', 'Menus', 'Tiles'))],
};
