import type { Looks } from '../kit/looks.ts';

const room = (top: string) => ({ 'box/paddingTop': top, 'box/paddingBottom': top });

/** Of sections and of what all pages share, which are made alike. */
export const sectionLooks: Looks = {
  width: {
    'Text width': { 'inner/maxWidth': '38rem' },
    'Whole width': { 'inner/maxWidth': 'none' },
    'Edge to edge': { 'inner/maxWidth': 'none', 'box/paddingLeft': '0rem', 'box/paddingRight': '0rem' },
  },
  padding: { None: room('0rem'), Snug: room('1.5rem'), Roomy: room('7rem') },
};

/** At least so much of the window, with what it holds in the middle. */
const tall = (height: string) => ({
  'box/minHeight': height,
  'box/display': 'flex',
  'box/flexDirection': 'column',
  'box/justifyContent': 'center',
  'inner/width': '100%',
});

export const headerLooks: Looks = {
  ...sectionLooks,
  height: { 'Half the window': tall('50svh'), 'Whole window': tall('100svh') },
  scrolling: { 'Stays in view': { 'box/position': 'sticky', 'box/top': '0px' } },
};

/** Below a header that stays in view as well. */
export const sidebarLooks: Looks = {
  ...sectionLooks,
  scrolling: { 'Stays in view': { 'box/position': 'sticky', 'box/top': '5rem' } },
};
