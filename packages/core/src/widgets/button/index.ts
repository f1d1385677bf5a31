import { corners, focusRing, iconBaseline, line, sides } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { linkOf } from '../kit/link.ts';
import { h, linkAttrs } from '../kit/markup.ts';
import { buttonLooks } from './looks.ts';

export const button = element({
  name: 'button',
  label: 'Button',
  family: 'action',
  about: 'One thing to do',
  words: 'link call to action cta book buy',
  parts: {
    box: { label: 'Box', kind: 'box', states: ['hover', 'focus', 'pressed', 'selected', 'disabled'] },
    icon: { label: 'Icon', kind: 'icon', inside: 'box' },
    label: { label: 'Label', kind: 'label', inside: 'box', shows: 'label' },
  },
  axes: ['kind', 'size'],
  looks: buttonLooks,
  holds: null,
  program: programStyles({
    'box/display': 'inline-flex',
    'box/alignItems': 'center',
    'box/justifyContent': 'center',
    'box/width': 'fit-content',
    'box/columnGap': '0.5em',
    'box/cursor': 'pointer',
    'box/color': 'role.mainLabel',
    'box/backgroundColor': 'role.mainFill',
    'box/textDecorationLine': 'none',
    'box/transitionDuration': '140ms',
    'box/lineHeight': 1.25,
    ...sides('box', 'padding', ['0.6em', '1.1em', '0.6em', '1.1em']),
    ...line('box', { width: '2px', style: 'solid', color: 'role.mainLine' }),
    ...corners('box', '0.5rem'),
    'box:hover/backgroundColor': 'role.mainFillHover',
    'box:hover/color': 'role.mainLabelHover',
    'box:pressed/backgroundColor': 'role.mainFillPressed',
    'box:pressed/color': 'role.mainLabelPressed',
    'box:disabled/opacity': 0.5,
    'box:disabled/cursor': 'not-allowed',
    ...focusRing('box'),
    ...iconBaseline('icon', '1.2em'),
    'icon/color': 'currentcolor',
    'label/display': 'inline',
  }),
  content: {
    label: { type: 'plain', label: 'Label' },
    link: { type: 'link', label: 'Link' },
    icon: { type: 'icon', label: 'Icon' },
    disabled: { type: 'choice', label: 'Disabled', options: ['no', 'yes'] },
  },
  sample: { label: 'Get started', link: { type: 'url', href: 'https://domain.example/' } },
  begins: { label: 'Button' },
  markup: (content, context) => {
    const link = linkOf(content, 'link');
    const isDisabled = content.disabled === 'yes';
    // A link that leads nowhere for now stays a link to who hears it (HTML-AAM; ARIA in HTML, links without href).
    const attrs = isDisabled
      ? { role: 'link', 'aria-disabled': 'true' }
      : link
        ? linkAttrs(link, context)
        : {};
    const label = h('span', { part: 'label' }, plain(content, 'label'));
    return h('a', { part: 'box', ...attrs }, iconOf('icon', content.icon, context), label);
  },
  summary: content => plain(content, 'label'),
});
