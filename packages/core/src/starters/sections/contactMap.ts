import { heading, map, type SectionStarter } from './sketch.ts';

export const contactMap: SectionStarter = {
  id: 'contact-map',
  label: 'Where to find us',
  purpose: 'contact',
  tone: 'tinted',
  holds: [heading('Where to find us'), map('The name of the place', 'Street and town')],
};
