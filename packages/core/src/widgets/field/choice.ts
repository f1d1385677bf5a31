import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';

/** One of the answers that a field offers. */
export const fieldChoice = element({
  name: 'fieldChoice',
  label: 'Choice',
  family: 'form',
  parts: { choice: { label: 'Choice', kind: 'text', shows: 'label' } },
  axes: ['look'],
  holds: null,
  onlyIn: ['field'],
  holderSample: { kind: 'choice' },
  // A browser draws choices in a list of its own; what it sets of them is for that list.
  base: { choice: 'all:unset' },
  program: programStyles({ 'choice/display': 'block' }),
  content: { label: { type: 'plain', label: 'Words' } },
  sample: { label: 'First choice' },
  begins: { label: 'Choice' },
  markup: content => h('option', { part: 'choice' }, plain(content, 'label')),
  summary: content => plain(content, 'label'),
  loose: content => [{ widget: 'text', content: { text: [[{ text: plain(content, 'label') }]] } }],
});
