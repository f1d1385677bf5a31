import {
  across,
  column,
  ends,
  heading,
  map,
  pagesListed,
  type SectionStarter,
  small,
  socialLink,
  socialLinks,
  text,
} from './sketch.ts';

export const footerPlace: SectionStarter = {
  id: 'footer-place',
  label: 'Where you are, drawn',
  purpose: 'footer',
  tone: 'tinted',
  holds: [
    across(
      'Two',
      column(map('The name of the place', 'Street and town')),
      column(
        heading('Come by', 3),
        text('Open Monday to Saturday, nine to six.'),
        socialLinks('Elsewhere', socialLink('Pictures', 'camera'), socialLink('Letters', 'mail')),
      ),
    ),
    { widget: 'divider' },
    ends(small('© {name}'), pagesListed('Footer')),
  ],
};
