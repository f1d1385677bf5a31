import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { formLooks } from './looks.ts';

/**
 * What frames the fields of one form, and whatever stands between them. Nothing is sent yet: a form of the method `dialog`
 * that stands in no dialog is submitted to nowhere (HTML, section 4.10.22.3), so no answer ends up in an address.
 */
export const form = element({
  name: 'form',
  label: 'Form',
  family: 'form',
  about: 'Fields that are sent',
  words: 'contact enquiry booking sign up input',
  parts: {
    box: { label: 'Form', kind: 'box' },
    needed: { label: 'Required note', kind: 'text', inside: 'box' },
  },
  axes: ['look'],
  looks: formLooks,
  holds: 'box',
  holdsAtFirst: [{ widget: 'field' }, { widget: 'field' }],
  sampleHolds: [{ widget: 'field' }],
  program: programStyles({
    'box/display': 'flex',
    'box/flexDirection': 'column',
    'box/alignItems': 'stretch',
    'box/rowGap': '1.25rem',
    'needed/display': 'block',
    'needed/color': 'role.muted',
    'needed/fontSize': '0.875em',
  }),
  content: {
    label: { type: 'plain', label: 'Name for screen readers' },
    needed: { type: 'choice', label: 'Required note', options: ['shown', 'left out'] },
  },
  sample: { label: 'Contact', needed: 'shown' },
  begins: { label: '', needed: 'shown' },
  markup: (content, context) =>
    h(
      'form',
      { part: 'box', method: 'dialog', 'aria-label': plain(content, 'label') || null },
      content.needed !== 'left out' && h('span', { part: 'needed' }, context.phrase('required')),
      CHILDREN,
    ),
  summary: content => plain(content, 'label'),
});
