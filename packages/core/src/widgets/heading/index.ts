import { flatHeading } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h } from '../kit/markup.ts';
import { headingLooks } from './looks.ts';

const LEVELS = [1, 2, 3, 4, 5, 6] as const;

/** Its level is for readers and search engines; its look is the variant on the axis `look`. */
export const heading = element({
  name: 'heading',
  label: 'Heading',
  family: 'text',
  about: 'Names what follows',
  words: 'title headline subtitle h1 h2 h3',
  parts: { text: { label: 'Heading', kind: 'heading', shows: 'text' } },
  axes: ['look'],
  looks: headingLooks,
  holds: null,
  program: programStyles({
    ...flatHeading('text'),
    'text/color': 'role.heading',
    'text/fontWeight': 700,
    'text/lineHeight': 1.15,
  }),
  content: {
    text: { type: 'plain', label: 'Words' },
    level: { type: 'choice', label: 'Level', options: LEVELS },
  },
  sample: { text: 'A heading in a few words', level: 2 },
  begins: { text: 'Heading', level: 2 },
  markup: content => {
    const level = LEVELS.find(it => it === content.level) ?? 2;
    return h(`h${level}`, { part: 'text' }, plain(content, 'text'));
  },
  summary: content => plain(content, 'text'),
});
