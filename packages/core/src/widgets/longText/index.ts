import { element, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { longTextLooks } from './looks.ts';

/**
 * Holds texts, headings, pictures and what else an article is made of, in one column that is good to read. Everything in it
 * stands in a row of its own; the rows are no formatting contexts, so what floats in one is flowed around by the next ones.
 */
export const longText = element({
  name: 'longText',
  label: 'Long text',
  family: 'text',
  about: 'An article with what belongs to it',
  words: 'article essay story blog long read',
  parts: {
    box: { label: 'Long text', kind: 'box' },
    first: { label: 'First row', kind: 'box', inside: 'box' },
    row: { label: 'Further rows', kind: 'box', inside: 'box' },
  },
  axes: ['look'],
  looks: longTextLooks,
  holds: 'row',
  longForm: true,
  holdsAtFirst: [{ widget: 'text' }],
  sampleHolds: ['heading', 'text', 'picture', 'text', 'quote'].map(widget => ({ widget })),
  program: programStyles({
    'box/display': 'flow-root',
    'box/width': '100%',
    'box/maxWidth': '40rem',
    'box/marginLeft': 'auto',
    'box/marginRight': 'auto',
    'first/display': 'block',
    'row/display': 'block',
    'row/marginTop': '1.25rem',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () =>
    h('div', { part: 'box' }, { each: index => h('div', { part: index === 0 ? 'first' : 'row' }) }),
});
