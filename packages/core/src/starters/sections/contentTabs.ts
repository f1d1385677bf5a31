import { heading, list, type SectionStarter, tab, tabs, text } from './sketch.ts';

export const contentTabs: SectionStarter = {
  id: 'content-tabs',
  label: 'Tabs',
  purpose: 'content',
  tone: 'plain',
  holds: [
    heading('From Hesk, by season'),
    tabs(
      'Seasons',
      tab('Summer', text('Both ships sail, from half past six until the light goes.')),
      tab(
        'Winter',
        text('One ship sails, and is back in harbour by dusk.'),
        list('free', 'No boat on the shortest day', 'Bikes by arrangement'),
      ),
      tab('In a storm', text('Ring the harbour office before you set out.')),
    ),
  ],
};
