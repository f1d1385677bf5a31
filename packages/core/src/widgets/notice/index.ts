import { plainOf, richText } from '../../content/index.ts';
import {
  BARE_CONTROL,
  corners,
  flatParagraph,
  iconBaseline,
  line,
  runBaseline,
  sides,
} from '../kit/baseline.ts';
import { controlSign } from '../kit/controlSign.ts';
import { element, plain, programStyles, rich } from '../kit/element.ts';
import { h, runParts, runsToNodes } from '../kit/markup.ts';
import { source } from './behaviour.source.ts';
import { noticeLooks } from './looks.ts';

/** News of the day. Its status is a variant of the guide and a word before it, so that colour is not all that tells. */
export const notice = element({
  name: 'notice',
  label: 'Notice',
  family: 'text',
  about: 'News of the day',
  words: 'alert warning banner message announcement dismiss',
  parts: {
    box: { label: 'Box', kind: 'box' },
    word: { label: 'Word', kind: 'label', inside: 'box', shows: 'word' },
    paragraph: { label: 'Paragraph', kind: 'text', inside: 'box' },
    ...runParts('paragraph'),
    close: {
      label: 'Button that dismisses it',
      kind: 'label',
      inside: 'box',
      host: 'close',
      states: ['hover', 'focus', 'pressed'],
    },
    cross: { label: 'Sign for dismissing', kind: 'icon', inside: 'close', host: 'close' },
  },
  axes: ['status', 'look'],
  looks: noticeLooks,
  holds: null,
  program: programStyles({
    'box/display': 'block',
    'box/backgroundColor': 'role.infoGround',
    'box/color': 'role.infoText',
    ...sides('box', 'padding', ['0.75rem', '1rem', '0.75rem', '1rem']),
    ...line('box', { width: '1px', style: 'solid', color: 'role.infoLine' }),
    ...corners('box', '0.375rem'),
    'close/display': 'flex',
    'close/float': 'right',
    'close/alignItems': 'center',
    'close/justifyContent': 'center',
    'close/width': '2rem',
    'close/height': '2rem',
    'close/marginTop': '-0.25rem',
    'close/marginRight': '-0.5rem',
    'close/cursor': 'pointer',
    'close/color': 'currentcolor',
    'close:focus/outlineColor': 'currentcolor',
    'close:focus/outlineStyle': 'solid',
    'close:focus/outlineWidth': '2px',
    'close:focus/outlineOffset': '2px',
    ...iconBaseline('cross', '1.25rem'),
    'cross/color': 'currentcolor',
    'word/fontWeight': 700,
    'word/display': 'block',
    ...flatParagraph('paragraph'),
    ...runBaseline,
    'link/color': 'currentcolor',
    'link:hover/textDecorationLine': 'none',
    'link:focus/outlineColor': 'currentcolor',
    'link:focus/outlineStyle': 'solid',
    'link:focus/outlineWidth': '2px',
    'link:focus/outlineOffset': '2px',
  }),
  behaviour: source,
  needsBehaviour: content => content.stays === 'can dismiss it',
  base: { 'button.close': BARE_CONTROL },
  cssWithoutScripts: [':where(.notice-close){display:none!important}'],
  content: {
    stays: { type: 'choice', label: 'Visitors', options: ['always see it', 'can dismiss it'] },
    word: { type: 'plain', label: 'Word for the status' },
    text: { type: 'rich', label: 'Words' },
  },
  sample: {
    stays: 'can dismiss it',
    word: 'Note',
    text: [[{ text: 'Something that people should know today.' }]],
  },
  begins: { stays: 'always see it', word: 'Note', text: richText('Write the notice here.') },
  markup: (content, context) => {
    const dismissible = content.stays === 'can dismiss it';
    return h(
      'div',
      { part: 'box', role: 'note', id: dismissible ? context.id('') : null },
      dismissible &&
        h(
          'button',
          {
            part: 'close',
            type: 'button',
            'aria-label': context.phrase('close'),
          },
          controlSign('cross', 'close', null, context),
        ),
      plain(content, 'word') !== '' && h('strong', { part: 'word' }, plain(content, 'word')),
      ...rich(content, 'text').map(runs => h('p', { part: 'paragraph' }, ...runsToNodes(runs, context))),
    );
  },
  summary: content => plainOf(rich(content, 'text')),
});
