import { printColor, printNumber } from '../color/index.ts';
import { fallbackName } from '../type/faces.ts';
import { type FluidRange, printFluid } from './fluid.ts';
import type { Length, Tint, Value } from './value.ts';

export const printLength = ({ value, unit }: Length): string => `${printNumber(value)}${unit}`;

const GENERIC = new Set([
  'serif',
  'sans-serif',
  'monospace',
  'cursive',
  'system-ui',
  'ui-serif',
  'ui-sans-serif',
  'ui-monospace',
]);
/** Quoted and escaped as CSS Syntax 3 has strings, whatever the name holds. */
const printFamily = (name: string) =>
  GENERIC.has(name) ? name : `"${name.replace(/["\\\n\r\f]/g, c => `\\${c.charCodeAt(0).toString(16)} `)}"`;

export interface CssContext {
  fluid: FluidRange;
  /** What a reference prints as: `var(--…)`, or the value it ends in. */
  token(id: string): string;
  role(name: string): string;
  derived(value: Value & { type: 'derived' }): string;
  picture(asset: string): string;
  pattern(value: Value & { type: 'pattern' }): string;
  /** The unit length of one per cent of the viewport: `1vw`, or a variable of the sheet's column. */
  viewportUnit: string;
}

const printShare = (share: number): string => `${printNumber(Number((share * 100).toFixed(4)))}%`;

/** An image under a colour laid over it: CSS has no layer of one colour, so it is a gradient from it to itself. */
function printTinted(image: string, tint: Tint | null, context: CssContext): string {
  if (!tint) return image;
  const full = printCss(tint.color, context);
  // CSS Color 5, section 3: mixed with `transparent`, so that it may be a reference.
  const color =
    tint.share === 1 ? full : `color-mix(in srgb, ${full} ${printShare(tint.share)}, transparent)`;
  return `linear-gradient(${color}, ${color}), ${image}`;
}

/** CSS text of a value. A text style has none: it is expanded before. */
export function printCss(value: Value, context: CssContext): string {
  switch (value.type) {
    case 'color':
      return printColor(value.value);
    case 'dimension':
      if (value.value.unit === 'vw' && context.viewportUnit !== '1vw')
        return `calc(${printNumber(value.value.value)} * ${context.viewportUnit})`;
      return printLength(value.value);
    case 'fluid':
      return printFluid(value.min, value.max, context.fluid, context.viewportUnit);
    case 'number':
      return printNumber(value.value);
    case 'duration':
      return `${printNumber(value.value)}ms`;
    case 'cubicBezier':
      return `cubic-bezier(${value.value.map(printNumber).join(', ')})`;
    case 'fontFamily':
      return value.value
        .flatMap(name => (GENERIC.has(name) ? [name] : [printFamily(name), printFamily(fallbackName(name))]))
        .join(', ');
    case 'shadow':
      return value.value
        .map(
          ({ x, y, blur, spread, inset, color }) =>
            `${inset ? 'inset ' : ''}${[x, y, blur, spread].map(printLength).join(' ')} ${printCss(color, context)}`,
        )
        .join(', ');
    case 'gradient': {
      const stops = value.stops.map(({ color, at }) => `${printCss(color, context)} ${printShare(at)}`);
      const first = value.shape === 'linear' ? `${printNumber(value.angle)}deg, ` : '';
      return `${value.shape}-gradient(${first}${stops.join(', ')})`;
    }
    case 'picture':
      return printTinted(context.picture(value.asset), value.tint, context);
    case 'pattern':
      return printTinted(context.pattern(value), value.tint, context);
    case 'position':
      return `${printLength(value.x)} ${printLength(value.y)}`;
    case 'keyword':
      return value.value;
    case 'token':
      return context.token(value.token);
    case 'role':
      return context.role(value.role);
    case 'derived':
      return context.derived(value);
    case 'textStyle':
      return '';
  }
}
