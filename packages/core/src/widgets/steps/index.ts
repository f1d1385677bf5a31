import { flatList } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { stepsLooks } from './looks.ts';

/** Things that are done one after the other, each with its number or a sign, a title, and whatever explains it. */
export const steps = element({
  name: 'steps',
  label: 'Steps',
  family: 'pointing',
  about: 'How it goes, in order',
  words: 'process how to timeline stages order instructions',
  parts: { steps: { label: 'Steps', kind: 'box' } },
  axes: ['look'],
  looks: stepsLooks,
  holds: 'steps',
  accepts: ['step'],
  holdsAtFirst: [
    { widget: 'step', content: { title: 'First step' } },
    { widget: 'step', content: { title: 'Second step' } },
    { widget: 'step', content: { title: 'Third step' } },
  ],
  sampleHolds: [
    { widget: 'step', content: { title: 'Ask', icon: null } },
    { widget: 'step', content: { title: 'Choose', icon: null } },
    { widget: 'step', content: { title: 'Arrive', icon: null } },
  ],
  program: programStyles({
    ...flatList('steps'),
    'steps/flexDirection': 'column',
    'steps/alignItems': 'stretch',
    'steps/rowGap': '1.5rem',
    'steps/columnGap': '1.5rem',
  }),
  content: { level: { type: 'choice', label: 'Title level', options: [2, 3, 4, 5, 6] } },
  sample: { level: 3 },
  begins: { level: 3 },
  markup: () => h('ol', { part: 'steps' }, CHILDREN),
});
