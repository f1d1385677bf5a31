import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { accordionLooks } from './looks.ts';

/** Entries of which the titles show, and the rest of each when it is opened. */
export const accordion = element({
  name: 'accordion',
  label: 'Accordion',
  family: 'turns',
  about: 'Questions that unfold',
  words: 'faq questions answers fold collapse details',
  parts: { accordion: { label: 'Accordion', kind: 'box' } },
  axes: ['look'],
  looks: accordionLooks,
  holds: 'accordion',
  accepts: ['accordionEntry'],
  holdsAtFirst: [
    { widget: 'accordionEntry', content: { title: 'First title' } },
    { widget: 'accordionEntry', content: { title: 'Second title' } },
    { widget: 'accordionEntry', content: { title: 'Third title' } },
  ],
  sampleHolds: [
    { widget: 'accordionEntry', content: { title: 'What does it cost?' } },
    { widget: 'accordionEntry', content: { title: 'How long does it take?' } },
    { widget: 'accordionEntry', content: { title: 'Can I change my mind?' } },
  ],
  program: programStyles({
    'accordion/display': 'flex',
    'accordion/flexDirection': 'column',
    'accordion/alignItems': 'stretch',
  }),
  content: {
    open: { type: 'choice', label: 'Open at first', options: ['none', 'first', 'all'] },
    several: { type: 'choice', label: 'Open at once', options: ['several', 'one'] },
    level: { type: 'choice', label: 'Title level', options: [2, 3, 4, 5, 6] },
  },
  sample: { open: 'none', several: 'several', level: 3 },
  begins: { open: 'none', several: 'several', level: 3 },
  markup: () => h('div', { part: 'accordion' }, CHILDREN),
});
