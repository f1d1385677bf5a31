import { button, centred, ends, navigation, type SectionStarter, title } from './sketch.ts';

export const headerAction: SectionStarter = {
  id: 'header-action',
  label: 'With a button',
  purpose: 'header',
  tone: 'plain',
  holds: [
    ends(
      title,
      centred(navigation('Main', 'Menus', 'From the side'), button('Get started', undefined, 'Small')),
    ),
  ],
};
