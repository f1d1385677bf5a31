import { element, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { spaceLooks } from './looks.ts';

/** Room between two things where a gap is not enough, or a line that holds it apart. */
export const space = element({
  name: 'space',
  label: 'Space',
  family: 'structure',
  about: 'Room between',
  words: 'gap spacer distance blank',
  parts: { room: { label: 'Room', kind: 'box' } },
  axes: ['look'],
  looks: spaceLooks,
  holds: null,
  program: programStyles({
    'room/display': 'block',
    'room/height': '3rem',
    'room/width': '100%',
  }),
  content: {},
  sample: {},
  begins: {},
  markup: () => h('div', { part: 'room' }),
});
