import { heading, list, type SectionStarter, tab, tabs, text } from './sketch.ts';

export const contentTabs: SectionStarter = {
  id: 'content-tabs',
  label: 'Tabs',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('Three ways to choose'),
    tabs(
      'Ways',
      tab('First', text('What the first one is for, and who chooses it.')),
      tab(
        'Second',
        text('What the second one has besides.'),
        list('free', 'One thing it includes', 'Another thing it includes'),
      ),
      tab('Third', text('What the third one is for.')),
    ),
  ],
};
