import { flatList } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { figuresLooks } from './looks.ts';

/** Numbers that say much in little room, each with a few words; as many beside each other as there is room for. */
export const figures = element({
  name: 'figures',
  label: 'Figures',
  family: 'pointing',
  about: 'Numbers worth saying',
  words: 'statistics numbers counter facts stats',
  parts: { figures: { label: 'Figures', kind: 'box' } },
  axes: ['look'],
  looks: figuresLooks,
  holds: 'figures',
  accepts: ['figure'],
  holdsAtFirst: [
    { widget: 'figure', content: { value: '00', words: 'What it counts' } },
    { widget: 'figure', content: { value: '00', words: 'What it counts' } },
    { widget: 'figure', content: { value: '00', words: 'What it counts' } },
  ],
  sampleHolds: [
    { widget: 'figure', content: { value: '120', words: 'people', icon: null } },
    { widget: 'figure', content: { value: '15', words: 'years', icon: null } },
    { widget: 'figure', content: { value: '48 %', words: 'of all of them', icon: null } },
  ],
  program: programStyles({
    ...flatList('figures'),
    'figures/flexWrap': 'wrap',
    'figures/columnGap': '2rem',
    'figures/rowGap': '1.5rem',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('ul', { part: 'figures' }, CHILDREN),
});
