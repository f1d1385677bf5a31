import { corners, line, sides } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h, type VElement } from '../kit/markup.ts';
import { fieldLooks } from './looks.ts';

const KINDS = ['text', 'email', 'tel', 'number', 'date', 'long', 'choice', 'tick'] as const;

const control = (part: string) => ({
  [`${part}/display`]: 'block',
  [`${part}/width`]: '100%',
  [`${part}/color`]: 'role.text',
  [`${part}/backgroundColor`]: 'role.fieldSurface',
  ...sides(part, 'padding', ['0.55em', '0.75em', '0.55em', '0.75em']),
  ...line(part, { width: '1px', style: 'solid', color: 'role.fieldLine' }),
  ...corners(part, '0.375rem'),
  ...at(`${part}:hover`, { BorderColor: 'role.text' }),
  [`${part}:focus/outlineColor`]: 'role.focus',
  [`${part}:focus/outlineStyle`]: 'solid',
  [`${part}:focus/outlineWidth`]: '2px',
  [`${part}:focus/outlineOffset`]: '1px',
  ...at(`${part}:invalid`, { BorderColor: 'role.dangerLine' }),
  ...at(`${part}:valid`, { BorderColor: 'role.successLine' }),
  [`${part}:disabled/opacity`]: 0.5,
  [`${part}:disabled/cursor`]: 'not-allowed',
});

function at(slot: string, { BorderColor }: { BorderColor: string }): Record<string, string> {
  return Object.fromEntries(
    ['Top', 'Right', 'Bottom', 'Left'].map(side => [`${slot}/border${side}Color`, BorderColor]),
  );
}

/** One question: its label, what is answered in, a word of help, and a message where the answer will not do. */
export const field = element({
  name: 'field',
  label: 'Field',
  family: 'form',
  about: 'One thing to fill in',
  words: 'input email phone date choice checkbox upload',
  parts: {
    box: {
      label: 'Field',
      kind: 'box',
      states: ['valid', 'invalid', 'hover', 'focus', 'disabled'],
      within: ['control', 'tick'],
    },
    label: { label: 'Label', kind: 'label', inside: 'box', shows: 'label' },
    control: { label: 'Input', kind: 'box', inside: 'box' },
    placeholder: { label: 'Placeholder', kind: 'text', inside: 'control', pseudo: 'placeholder' },
    tick: { label: 'Tick', kind: 'icon', inside: 'label' },
    needed: { label: 'Mark of what is required', kind: 'label', inside: 'label' },
    help: { label: 'Help', kind: 'text', inside: 'box', shows: 'help' },
    message: { label: 'Message', kind: 'text', inside: 'box', shows: 'message' },
  },
  axes: ['look'],
  looks: fieldLooks,
  holds: 'control',
  accepts: ['fieldChoice'],
  sampleHolds: [],
  // A list to choose from keeps the arrow that the platform draws, and a box to tick its mark.
  base: { control: 'all:unset', 'select.control': 'appearance:auto', tick: 'all:unset;appearance:auto' },
  program: programStyles({
    'box/display': 'block',
    'label/display': 'block',
    'label/fontWeight': 600,
    'label/marginBottom': '0.3em',
    'label/cursor': 'pointer',
    ...control('control'),
    'control/cursor': 'text',
    'control/minHeight': '1.2em',
    'placeholder/color': 'role.placeholder',
    'needed/display': 'inline',
    'needed/color': 'role.dangerText',
    ...sides('needed', 'margin', ['0', '0', '0', '0.25em']),
    'tick/width': '1.1em',
    'tick/height': '1.1em',
    'tick/accentColor': 'role.accent',
    'tick/cursor': 'pointer',
    ...sides('tick', 'margin', ['0', '0.5em', '0', '0']),
    'help/display': 'block',
    'help/color': 'role.muted',
    'help/fontSize': '0.875em',
    'help/marginTop': '0.3em',
    'message/display': 'none',
    'message/color': 'role.dangerText',
    'message/fontSize': '0.875em',
    'message/marginTop': '0.3em',
    'message:invalid/display': 'block',
  }),
  content: {
    kind: { type: 'choice', label: 'Input type', options: KINDS },
    label: { type: 'plain', label: 'Label' },
    name: { type: 'plain', label: 'Field name' },
    placeholder: { type: 'plain', label: 'Placeholder' },
    help: { type: 'plain', label: 'Help' },
    message: { type: 'plain', label: 'Error message' },
    required: { type: 'choice', label: 'Required', options: ['no', 'yes'] },
  },
  sample: {
    kind: 'email',
    label: 'Email address',
    name: 'address',
    placeholder: 'you@domain.example',
    help: 'Only used to answer you.',
    message: 'Enter an email address, such as you@domain.example.',
    required: 'yes',
  },
  begins: {
    kind: 'text',
    label: 'Label',
    name: '',
    placeholder: '',
    help: '',
    message: '',
    required: 'no',
  },
  markup: (content, context) => {
    const kind = KINDS.find(it => it === content.kind) ?? 'text';
    const label = plain(content, 'label');
    const name = plain(content, 'name') || label;
    const id = context.id('answer');
    const help = plain(content, 'help');
    const message = plain(content, 'message');
    const described = [help && `${id}-help`, message && `${id}-message`].filter(Boolean).join(' ');
    const common = {
      id,
      name,
      required: content.required === 'yes' ? true : null,
      'aria-describedby': described || null,
    } as const;
    const needed = content.required === 'yes' && h('span', { part: 'needed', 'aria-hidden': 'true' }, '*');
    const placeholder = plain(content, 'placeholder') || null;
    const answer = (): VElement => {
      switch (kind) {
        case 'long':
          return h('textarea', { part: 'control', ...common, rows: 4, placeholder });
        case 'choice':
          return h('select', { part: 'control', ...common }, CHILDREN);
        default:
          return h('input', { part: 'control', type: kind, ...common, placeholder });
      }
    };
    return h(
      'div',
      { part: 'box' },
      kind === 'tick'
        ? h(
            'label',
            { part: 'label', for: id },
            h('input', { part: 'tick', type: 'checkbox', ...common }),
            label,
            needed,
          )
        : h('label', { part: 'label', for: id }, label, needed),
      kind !== 'tick' && answer(),
      help !== '' && h('span', { part: 'help', id: `${id}-help` }, help),
      message !== '' && h('span', { part: 'message', id: `${id}-message` }, message),
    );
  },
  summary: content => plain(content, 'label'),
});
