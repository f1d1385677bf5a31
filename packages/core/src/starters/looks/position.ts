import { type ReadyLook, readyLooks } from './look.ts';

/** Out of the column at one side while the window is wide, within it when it is less so, and across it when it is narrow. */
const beside = (side: 'Left' | 'Right', other: 'Left' | 'Right') => ({
  'box/float': side.toLowerCase(),
  'box/clear': side.toLowerCase(),
  'box/width': '45%',
  'box/marginTop': '0.25rem',
  'box/marginBottom': '0.75rem',
  [`box/margin${side}`]: '-6rem',
  [`box/margin${other}`]: '1.5rem',
  [`box@medium/margin${side}`]: '0rem',
  'box@narrow/float': 'none',
  'box@narrow/width': 'auto',
  [`box@narrow/margin${other}`]: '0rem',
});

/** Where a thing stands to the column of a long text that it belongs to. */
export const positionLooks = (element: string): ReadyLook[] =>
  readyLooks(element, 'position', {
    Wider: {
      'box/clear': 'both',
      'box/maxWidth': 'none',
      'box/marginLeft': '-6rem',
      'box/marginRight': '-6rem',
      'box@medium/marginLeft': '0rem',
      'box@medium/marginRight': '0rem',
    },
    'Beside, right': beside('Right', 'Left'),
    'Beside, left': beside('Left', 'Right'),
  });
