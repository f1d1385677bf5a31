import { flatList } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { testimonialsLooks } from './looks.ts';

/** What several people say, each with a name and a face; as many beside each other as there is room for. */
export const testimonials = element({
  name: 'testimonials',
  label: 'Testimonials',
  family: 'pointing',
  about: 'People vouch',
  words: 'review customer opinion recommendation faces rating',
  parts: { voices: { label: 'Testimonials', kind: 'box' } },
  axes: ['look'],
  looks: testimonialsLooks,
  holds: 'voices',
  accepts: ['testimonial'],
  holdsAtFirst: [{ widget: 'testimonial' }, { widget: 'testimonial' }],
  sampleHolds: [{ widget: 'testimonial' }, { widget: 'testimonial' }],
  program: programStyles({
    ...flatList('voices'),
    'voices/flexWrap': 'wrap',
    'voices/columnGap': '2rem',
    'voices/rowGap': '2rem',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('ul', { part: 'voices' }, CHILDREN),
});
