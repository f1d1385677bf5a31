import { centred, ends, navigation, type SectionStarter, small, title } from './sketch.ts';

export const headerNotice: SectionStarter = {
  id: 'header-notice',
  label: 'With news above',
  purpose: 'header',
  tone: 'strong',
  holds: [
    centred(small('In rough weather the late boat may stay in harbour. Ask at the quay.')),
    { widget: 'divider' },
    ends(title, navigation('Main')),
  ],
};
