import { flatList } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { cardsLooks } from './looks.ts';

/** Equals side by side, as many in a line as the guide says, and all of a line equally high. */
export const cards = element({
  name: 'cards',
  label: 'Card list',
  family: 'pointing',
  about: 'Equals side by side',
  words: 'cards features services products team grid teasers benefits',
  parts: { cards: { label: 'Cards', kind: 'box' } },
  axes: ['look'],
  looks: cardsLooks,
  holds: 'cards',
  accepts: ['card'],
  holdsAtFirst: Array.from({ length: 3 }, () => ({ widget: 'card' })),
  sampleHolds: [
    { widget: 'card', content: { title: 'The first card', icon: 'star' } },
    { widget: 'card', content: { title: 'The second card', icon: 'sun' } },
    { widget: 'card', content: { title: 'The third card', icon: 'heart' } },
  ],
  program: programStyles({
    ...flatList('cards'),
    'cards/display': 'grid',
    'cards/gridColumns': 3,
    'cards/columnGap': '2rem',
    'cards/rowGap': '2rem',
    'cards@medium/gridColumns': 2,
    'cards@narrow/gridColumns': 1,
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('ul', { part: 'cards' }, CHILDREN),
});
