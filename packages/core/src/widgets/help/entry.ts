import { plainOf, richText } from '../../content/index.ts';
import {
  flatHeading,
  flatParagraph,
  focusRing,
  iconBaseline,
  linkStates,
  runBaseline,
  sides,
} from '../kit/baseline.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes, svg } from '../kit/markup.ts';

const ARROW = {
  width: 24,
  height: 24,
  paths: [{ d: 'M6 9l6 6 6-6', fill: 'none', stroke: 'currentcolor', width: null }],
};

/** A question that somebody has, and its answer, which opens below it. */
export const helpEntry = element({
  name: 'helpEntry',
  label: 'Question and answer',
  family: 'turns',
  parts: {
    entry: { label: 'Question and answer', kind: 'box', host: 'entry', states: ['selected'] },
    question: {
      label: 'Question',
      kind: 'label',
      inside: 'entry',
      host: 'question',
      states: ['hover', 'focus', 'pressed'],
      selectedWith: 'entry',
      shows: 'question',
    },
    arrow: { label: 'Arrow', kind: 'icon', inside: 'question', host: 'question', selectedWith: 'entry' },
    answer: { label: 'Answer', kind: 'box', inside: 'entry' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'answer' },
    ...runParts('paragraph'),
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['help'],
  css: [':where(.helpEntry-entry[hidden]){display:none!important}'],
  base: { question: 'list-style:inherit' },
  program: programStyles({
    'entry/display': 'block',
    'entry/borderTopWidth': '1px',
    'entry/borderTopStyle': 'solid',
    'entry/borderTopColor': 'role.line',
    ...flatHeading('question'),
    'question/display': 'flex',
    'question/alignItems': 'center',
    'question/justifyContent': 'space-between',
    'question/columnGap': '0.75rem',
    'question/cursor': 'pointer',
    'question/color': 'role.heading',
    'question/fontWeight': 600,
    ...sides('question', 'padding', ['0.75rem', '0px', '0.75rem', '0px']),
    'question:hover/color': 'role.linkHover',
    ...focusRing('question'),
    ...iconBaseline('arrow', '1.1em'),
    'arrow/color': 'currentcolor',
    'arrow:selected/rotate': 180,
    'answer/display': 'flex',
    'answer/flexDirection': 'column',
    'answer/rowGap': '0.5rem',
    ...sides('answer', 'padding', ['0px', '0px', '0.75rem', '0px']),
    ...flatParagraph('paragraph'),
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    question: { type: 'plain', label: 'Question' },
    answer: { type: 'rich', label: 'Answer' },
  },
  sample: { question: 'What do people ask?', answer: richText('What they are told, in a sentence.') },
  begins: { question: 'A question that people ask', answer: richText('Write the answer here.') },
  markup: (content, context) =>
    h(
      'details',
      { part: 'entry', id: context.id(''), open: context.isOpen ? true : null },
      h('summary', { part: 'question' }, plain(content, 'question'), svg('arrow', ARROW)),
      h(
        'div',
        { part: 'answer' },
        ...rich(content, 'answer').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
      ),
    ),
  summary: content => plain(content, 'question') || plainOf(rich(content, 'answer')),
  loose: ({ question = '', answer = [] }) => [
    { widget: 'heading', content: { text: question, level: 3 } },
    { widget: 'text', content: { text: answer } },
  ],
});
