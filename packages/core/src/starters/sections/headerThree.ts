import { centred, ends, navigation, type SectionStarter, socialLink, socialLinks, title } from './sketch.ts';

export const headerThree: SectionStarter = {
  id: 'header-three',
  label: 'Title above both ends',
  purpose: 'header',
  tone: 'plain',
  holds: [
    centred(title),
    { widget: 'divider' },
    ends(
      navigation('Main', 'Menus', 'Full screen'),
      socialLinks('Elsewhere', socialLink('Pictures', 'camera'), socialLink('Letters', 'mail')),
    ),
  ],
};
