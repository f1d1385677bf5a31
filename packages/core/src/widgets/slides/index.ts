import { BARE_CONTROL, flatList, focusRing, iconBaseline } from '../kit/baseline.ts';
import { controlSign, mirrored } from '../kit/controlSign.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { round } from '../kit/looks.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { source } from './behaviour.source.ts';
import { slidesLooks } from './looks.ts';

/**
 * Things that share one view, one after the other: a row that scrolls and comes to rest at each, by touch, wheel and keys
 * without any script; with one, controls go back and on, a mouse can drag it, and it can move on by itself.
 */
export const slides = element({
  name: 'slides',
  label: 'Slides',
  family: 'turns',
  about: 'One after another',
  words: 'carousel slider slideshow strip hero photos swipe',
  parts: {
    slides: { label: 'Slides', kind: 'box' },
    row: { label: 'Row', kind: 'box', inside: 'slides', host: 'row', states: ['focus'], counts: true },
    bar: { label: 'Controls', kind: 'box', inside: 'slides' },
    control: {
      label: 'Control',
      kind: 'label',
      inside: 'bar',
      host: 'control',
      states: ['hover', 'focus', 'pressed', 'disabled'],
    },
    sign: { label: 'Sign of a control', kind: 'icon', inside: 'control', host: 'control' },
    dots: { label: 'Dots', kind: 'box', inside: 'bar' },
  },
  axes: ['look'],
  looks: slidesLooks,
  holds: 'row',
  accepts: ['slide'],
  holdsAtFirst: Array.from({ length: 3 }, () => ({ widget: 'slide' })),
  sampleHolds: [
    { widget: 'slide', content: { title: 'The first slide' } },
    { widget: 'slide', content: { title: 'The second slide' } },
    { widget: 'slide', content: { title: 'The third slide' } },
  ],
  behaviour: source,
  css: [
    ':where(.slides-row){grid-auto-flow:column;scroll-snap-type:x mandatory;overscroll-behavior-x:contain;scrollbar-width:none}',
    ':where(.slides-row[data-dragged]){scroll-snap-type:none;cursor:grabbing;user-select:none}',
    '@media (prefers-reduced-motion:no-preference){:where(.slides-row:not([data-dragged])){scroll-behavior:smooth}}',
    // On paper all of them, one below the other.
    '@media print{:where(.slides-row){display:block!important;overflow:visible!important}:where(.slides-bar){display:none!important}}',
    // Of the two signs of what stops it, the one for what it would do.
    ':where(.slides-control[data-halted])>:where(:first-child),:where(.slides-control[data-does=pause]:not([data-halted]))>:where(:last-child){display:none!important}',
    mirrored('slides-sign'),
  ],
  cssWithoutScripts: [
    ':where(.slides-control){display:none!important}:where(.slides-row){scrollbar-width:auto}',
  ],
  base: { 'button.control': BARE_CONTROL },
  program: programStyles({
    'slides/display': 'flex',
    'slides/flexDirection': 'column',
    'slides/rowGap': '1rem',
    'slides/columnGap': '1rem',
    ...flatList('row'),
    'row/display': 'grid',
    'row/inView': 1,
    'row/columnGap': '1rem',
    'row/overflowX': 'auto',
    'row/minHeight': '1px',
    ...focusRing('row'),
    'bar/display': 'flex',
    'bar/alignItems': 'center',
    'bar/justifyContent': 'center',
    'bar/columnGap': '0.75rem',
    'dots/display': 'flex',
    'dots/flexWrap': 'wrap',
    'dots/justifyContent': 'center',
    'dots/alignItems': 'center',
    'control/display': 'flex',
    'control/alignItems': 'center',
    'control/justifyContent': 'center',
    'control/width': '2.75rem',
    'control/height': '2.75rem',
    'control/cursor': 'pointer',
    'control/color': 'role.text',
    'control/backgroundColor': 'role.raised',
    ...round('control'),
    'control:hover/color': 'role.linkHover',
    'control:disabled/opacity': 0.4,
    ...focusRing('control'),
    ...iconBaseline('sign', '1.25rem'),
    'sign/color': 'currentcolor',
  }),
  content: {
    label: { type: 'plain', label: 'Name for screen readers' },
    level: { type: 'choice', label: 'Title level', options: [2, 3, 4, 5, 6] },
    dots: { type: 'choice', label: 'To choose by', options: ['dots', 'pictures', 'none'] },
    advance: { type: 'choice', label: 'Seconds until it moves on', options: ['never', 5, 8, 12] },
    before: { type: 'icon', label: 'Sign for the one before' },
    after: { type: 'icon', label: 'Sign for the next one' },
  },
  sample: { label: '', level: 3, dots: 'dots', advance: 'never', before: null, after: null },
  begins: { label: '', level: 3, dots: 'dots', advance: 'never', before: null, after: null },
  markup: (content, context) => {
    const control = (does: 'before' | 'after', name: string) =>
      h(
        'button',
        { part: 'control', type: 'button', 'data-does': does, 'aria-label': name },
        controlSign('sign', does, content[does], context),
      );
    const label = plain(content, 'label') || context.phrase('slides');
    const seconds = typeof content.advance === 'number' ? content.advance : null;
    return h(
      'section',
      {
        part: 'slides',
        'aria-roledescription': context.phrase('slides'),
        'aria-label': label,
        'data-seconds': seconds,
      },
      h('ul', { part: 'row', tabindex: 0, 'aria-label': label }, CHILDREN),
      h(
        'div',
        { part: 'bar' },
        // What moves by itself is stopped by the first control that keys come to (Authoring Practices, carousel pattern).
        seconds !== null &&
          h(
            'button',
            {
              part: 'control',
              type: 'button',
              'data-does': 'pause',
              'aria-label': context.phrase('pause'),
              'data-other': context.phrase('play'),
            },
            controlSign('sign', 'pause', null, context),
            controlSign('sign', 'play', null, context),
          ),
        control('before', context.phrase('previous')),
        content.dots !== 'none' && h('div', { part: 'dots' }, { items: 'dot' }),
        control('after', context.phrase('next')),
      ),
    );
  },
  summary: content => plain(content, 'label'),
});
