import { corners, focusRing, sides } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { preformattedLooks } from './looks.ts';

/** Text whose lines and spaces stay as they are written: code, verse, a plan of letters. */
export const preformatted = element({
  name: 'preformatted',
  label: 'Preformatted',
  family: 'text',
  about: 'Text as it was typed',
  words: 'code plan poem monospace',
  parts: {
    box: { label: 'Box', kind: 'box', states: ['focus'] },
    text: { label: 'Text', kind: 'text', inside: 'box', shows: 'text' },
  },
  axes: ['look'],
  looks: preformattedLooks,
  holds: null,
  program: programStyles({
    'box/display': 'block',
    'box/whiteSpace': 'preserve',
    'box/marginTop': 0,
    'box/marginBottom': 0,
    'box/overflowX': 'auto',
    ...focusRing('box'),
    'box/backgroundColor': 'role.raised',
    ...sides('box', 'padding', ['0.75rem', '1rem', '0.75rem', '1rem']),
    ...corners('box', '0.375rem'),
    'box/fontFamily': 'ui-monospace, monospace',
    'box/fontSize': '0.92em',
    'text/display': 'inline',
    'text/fontFamily': 'ui-monospace, monospace',
    'text/fontSize': '1em',
  }),
  content: { text: { type: 'plain', label: 'Text', long: true } },
  sample: { text: 'Monday   09:00\nSaturday 10:00' },
  begins: { text: 'Write the text here.' },
  markup: content =>
    h('pre', { part: 'box', tabindex: 0 }, h('code', { part: 'text' }, plain(content, 'text'))),
  summary: content => plain(content, 'text'),
});
