import type { Styles } from '../../slots/index.ts';
import { elementNamed } from '../../widgets/index.ts';
import { line } from '../../widgets/kit/baseline.ts';
import { programStyles } from '../../widgets/kit/element.ts';

/**
 * A look of a widget that a guide can take as a variant. It names roles and no tokens: its lengths are tied to the nearest
 * that the guide has when it is taken.
 */
export interface ReadyLook {
  element: string;
  axis: string;
  name: string;
  styles: Styles;
}

type Typed = Readonly<Record<string, string | number>>;

/** Looks of one axis by their names. */
export const readyLooks = (
  element: string,
  axis: string,
  looks: Readonly<Record<string, Typed>>,
): ReadyLook[] => {
  if (!elementNamed(element).axes.includes(axis)) throw new Error(`${element} has no axis ${axis}`);
  return Object.entries(looks).map(([name, styles]) => ({
    element,
    axis,
    name,
    styles: programStyles({ ...styles }),
  }));
};

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
