import { line } from './baseline.ts';

type Typed = Readonly<Record<string, string | number>>;

/**
 * Looks of a widget that a guide can take as variants, by axis and name. They name roles and no tokens: their lengths are tied
 * to the nearest that the guide has when one is taken.
 */
export type Looks = Readonly<Record<string, Readonly<Record<string, Typed>>>>;

const side = (part: string, name: 'Top' | 'Bottom' | 'Left', color: string, width: string): Typed => ({
  [`${part}/border${name}Width`]: width,
  [`${part}/border${name}Style`]: 'solid',
  [`${part}/border${name}Color`]: color,
});
export const above = (part: string, color: string, width = '1px') => side(part, 'Top', color, width);
export const below = (part: string, color: string, width = '1px') => side(part, 'Bottom', color, width);
export const left = (part: string, color: string, width = '1px') => side(part, 'Left', color, width);
export const around = (part: string, color: string, width = '1px'): Typed =>
  line(part, { width, style: 'solid', color });
export const bare = (part: string): Typed => line(part, { style: 'none' });
export const padded = (part: string, room: string): Typed =>
  Object.fromEntries(['Top', 'Right', 'Bottom', 'Left'].map(it => [`${part}/padding${it}`, room]));
const cornered = (part: string, radius: string): Typed =>
  Object.fromEntries(
    ['TopLeft', 'TopRight', 'BottomRight', 'BottomLeft'].map(it => [`${part}/border${it}Radius`, radius]),
  );
export const squared = (part: string) => cornered(part, '0rem');
export const round = (part: string) => cornered(part, '50%');

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
export const POSITIONS: Readonly<Record<string, Typed>> = {
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
};
