import { printNumber } from '../color/index.ts';
import { splitTop } from '../values/index.ts';

/** A gradient in the shape that a guide has, and what of it that leaves out, in words. */
export interface Simplified {
  text: string;
  left: string | null;
}

/** Corners that a gradient runs to, in degrees of a square (CSS Images 3, section 3.1.1). */
const CORNERS: Readonly<Record<string, number>> = {
  'top right': 45,
  'bottom right': 135,
  'bottom left': 225,
  'top left': 315,
};
/** Degrees of the units of angles (CSS Values 4, section 7.1). */
const DEGREES: Readonly<Record<string, number>> = { turn: 360, grad: 0.9, rad: 180 / Math.PI };

/** The space in which colours are mixed (CSS Images 4, section 3.1), or a property that stands for it. */
const SPACE =
  /\s*(?:\bin\s+[\w-]+(?:\s+(?:shorter|longer|increasing|decreasing)\s+hue)?|\bvar\([^()]*\))\s*$/;
/** Shape, size and place of a gradient that runs outwards (CSS Images 3, section 3.2.1). */
const OUTWARDS = /^(?:circle|ellipse|closest-|farthest-|at\s|-?[\d.]+(?:px|r?em|%)(?:\s|$))/;

function turned(direction: string): { text: string; left: string | null } {
  const sides = /^to\s+(\w+)\s+(\w+)$/.exec(direction);
  const corner = sides && (CORNERS[`${sides[1]} ${sides[2]}`] ?? CORNERS[`${sides[2]} ${sides[1]}`]);
  if (corner)
    return { text: `${corner}deg`, left: `It runs to a corner, which is read as ${corner} degrees.` };
  const angle = /^(-?[\d.]+)(turn|grad|rad)$/.exec(direction);
  const degrees = Number(angle?.[1]) * (DEGREES[angle?.[2] ?? ''] ?? Number.NaN);
  return { text: Number.isFinite(degrees) ? `${printNumber(degrees)}deg` : direction, left: null };
}

/** Writes a gradient so that a guide can read it, where that takes no more than leaving out how exactly it is drawn. */
export function simplified(text: string): Simplified {
  const call = /^(linear|radial)-gradient\((.*)\)$/s.exec(text.trim());
  const [first = '', ...stops] = splitTop(call?.[2] ?? '', /,/);
  const shape = call?.[1];
  if (!shape || stops.length < 2) return { text, left: null };
  const plain = first.replace(SPACE, '').trim();
  const space = plain === first.trim() ? null : 'The space in which its colours are mixed is left out.';
  if (shape === 'radial' && OUTWARDS.test(plain))
    return { text: `radial-gradient(${stops.join(', ')})`, left: 'Its shape, size and place are left out.' };
  const { text: direction, left } = shape === 'linear' ? turned(plain) : { text: plain, left: null };
  return {
    text: `${shape}-gradient(${[direction, ...stops].filter(it => it !== '').join(', ')})`,
    left: [left, space].filter(it => it !== null).join(' ') || null,
  };
}
