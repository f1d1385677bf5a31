import { type ReadyLook, readyLooks } from './look.ts';

const room = (top: string) => ({ 'box/paddingTop': top, 'box/paddingBottom': top });

const STAYS = readyLooks('header', 'scrolling', {
  'Stays in view': { 'box/position': 'sticky', 'box/top': '0px' },
});

/** Of sections and of what all pages share, which are made alike. */
export const sectionLooks: readonly ReadyLook[] = [
  ...STAYS,
  ...['section', 'header', 'sidebar', 'footer'].flatMap(name => [
    ...readyLooks(name, 'width', {
      'Text width': { 'inner/maxWidth': '38rem' },
      'Whole width': { 'inner/maxWidth': 'none' },
      'Edge to edge': { 'inner/maxWidth': 'none', 'box/paddingLeft': '0rem', 'box/paddingRight': '0rem' },
    }),
    ...readyLooks(name, 'padding', {
      None: room('0rem'),
      Snug: room('1.5rem'),
      Roomy: room('7rem'),
    }),
  ]),
];
