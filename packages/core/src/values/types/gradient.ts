import { printNumber } from '../../color/index.ts';
import { splitTop } from '../brackets.ts';
import { isNumber, isObject } from '../json.ts';
import type { GradientStop, Value } from '../value.ts';
import { printShare } from './share.ts';
import { swapColor } from './swapColor.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

const MOST_STOPS = 12;

function readStop(it: unknown, readColor: (it: unknown) => Value | null): GradientStop | null {
  if (!isObject(it) || !isNumber(it.at) || it.at < 0 || it.at > 1) return null;
  const color = readColor(it.color);
  return color && { color, at: it.at };
}

/** Stops without a place are spread evenly between their neighbours; the first and the last stand at the ends. */
function spread(stops: readonly { color: Value; at: number | null }[]): GradientStop[] {
  const places = stops.map(it => it.at);
  if (places[0] === null) places[0] = 0;
  if (places.at(-1) === null) places[places.length - 1] = 1;
  return stops.map(({ color }, i) => {
    let from = i;
    while (places[from] == null) from--;
    let to = i;
    while (places[to] == null) to++;
    const [low, high] = [places[from] ?? 0, places[to] ?? 1];
    const at = from === to ? low : low + ((high - low) * (i - from)) / (to - from);
    return { color, at: Math.min(1, Number(at.toFixed(6))) };
  });
}

/** Sides that a gradient runs to, in degrees (CSS Images 3, section 3.1.1); those of corners depend on the box. */
const SIDES: Readonly<Record<string, number>> = { top: 0, right: 90, bottom: 180, left: 270 };

function angleOf(text: string): number | null {
  const degrees = /^(-?\d+\.?\d*)deg$/.exec(text)?.[1];
  const side = /^to (top|right|bottom|left)$/.exec(text)?.[1];
  return degrees !== undefined ? Number(degrees) : side === undefined ? null : (SIDES[side] ?? null);
}

export const gradient: LiteralKind<ValueOf<'gradient'>> = {
  read({ shape: said, angle, stops: given }, readColor) {
    const shape = said === 'linear' || said === 'radial' ? said : null;
    if (!shape || !isNumber(angle) || !Array.isArray(given)) return null;
    if (given.length < 2 || given.length > MOST_STOPS) return null;
    const stops = given.map(it => readStop(it, readColor)).filter(it => it !== null);
    return stops.length === given.length ? { type: 'gradient', shape, angle, stops } : null;
  },
  /** `linear-gradient(120deg, #fff, #000 60%)`. */
  parse(text, parseColor) {
    const call = /^(linear|radial)-gradient\((.*)\)$/s.exec(text);
    if (!call?.[2]) return null;
    const shape = call[1] === 'linear' ? 'linear' : 'radial';
    const parts = splitTop(call[2], /,/);
    const turned = shape === 'linear' ? angleOf(parts[0] ?? '') : null;
    if (turned !== null) parts.shift();
    const read = parts.flatMap(part => {
      const place = /^(.*?)\s+(\d+\.?\d*)%$/s.exec(part);
      const color = parseColor((place?.[1] ?? part).trim());
      return color ? [{ color, at: place?.[2] === undefined ? null : Number(place[2]) / 100 }] : [];
    });
    if (read.length < 2 || read.length > MOST_STOPS || read.length < parts.length) return null;
    const angle = turned ?? (shape === 'linear' ? 180 : 0);
    return { type: 'gradient', shape, angle, stops: spread(read) };
  },
  print({ shape, angle, stops }, _, inside) {
    const first = shape === 'linear' ? `${printNumber(angle)}deg, ` : '';
    const printed = stops.map(({ color, at }) => `${inside(color)} ${printShare(at)}`);
    return `${shape}-gradient(${first}${printed.join(', ')})`;
  },
  colors: ({ stops }) => stops.map(stop => stop.color),
  withColors(value, other) {
    const stops = value.stops.map(stop => swapColor(stop, other));
    return stops.every((stop, i) => stop === value.stops[i]) ? value : { ...value, stops };
  },
  // Of colours that all come from the guide, it holds nothing that could be another.
  isLoose: ({ stops }, inside) => stops.some(stop => inside(stop.color)),
};
