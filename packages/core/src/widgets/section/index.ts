import { sides } from '../kit/baseline.ts';
import { type ElementType, element, programStyles } from '../kit/element.ts';
import type { Looks } from '../kit/looks.ts';
import { CHILDREN, h } from '../kit/markup.ts';
import { source } from './behaviour.source.ts';
import { groundBase, groundMarkup, groundParts, groundProgram } from './grounds.ts';
import { headerLooks, sectionLooks, sidebarLooks } from './looks.ts';
import { SCROLLING } from './scrolling.ts';

const make = (name: string, label: string, tag: string, padding: string, looks: Looks): ElementType =>
  element({
    name,
    label,
    family: 'structure',
    parts: {
      box: { label: 'Section', kind: 'box', as: 'fill' },
      inner: { label: 'Column', kind: 'box', inside: 'box' },
      ...groundParts,
    },
    axes: Object.keys(looks),
    looks,
    holds: 'inner',
    sampleHolds: ['heading', 'text', 'button'].map(widget => ({ widget })),
    base: groundBase,
    ...(name === 'header' && {
      whenOver: programStyles({ 'box/backgroundColor': 'transparent' }),
      behaviour: source,
      needsBehaviour: (_, says, { headerFollows }) =>
        headerFollows || says('box', 'position').includes('sticky'),
    }),
    css: [
      // What opens in what pages share may leave its box, as nothing may leave a section.
      ...(name === 'section' ? [] : [`:where(.${name}-box){contain:layout}`]),
      ...(name === 'header' ? SCROLLING : []),
      // As high as what it stands beside, so that what stays in view has somewhere to stay.
      ...(name === 'sidebar' ? [':where(.page-side>aside){block-size:100%}'] : []),
    ],
    program: programStyles({
      ...groundProgram,
      'box/color': 'role.text',
      'box/backgroundColor': 'role.surface',
      'box/overflowX': 'clip',
      'box/display': 'block',
      ...sides('box', 'padding', [padding, '1.5rem', padding, '1.5rem']),
      'inner/display': 'flex',
      'inner/flexDirection': 'column',
      'inner/alignItems': 'stretch',
      'inner/rowGap': '1.25rem',
      'inner/columnGap': '2rem',
      'inner/maxWidth': '70rem',
      'inner/marginLeft': 'auto',
      'inner/marginRight': 'auto',
    }),
    content: {},
    sample: {},
    begins: {},
    markup: (_, context) =>
      h(tag, { part: 'box' }, ...groundMarkup(context), h('div', { part: 'inner' }, CHILDREN)),
  });

export const section = make('section', 'Section', 'section', '4rem', sectionLooks);
export const header = make('header', 'Header', 'div', '1rem', headerLooks);
export const sidebar = make('sidebar', 'Sidebar', 'div', '3rem', sidebarLooks);
export const footer = make('footer', 'Footer', 'div', '3rem', sectionLooks);
