import { type Color, isColorSpace, parseColor } from '../../color/index.ts';
import { type Length, parseLength, readValue, type ShadowLayer, type Value } from '../../values/index.ts';
import { BadToken, isNode } from './tree.ts';

/** Reads a reference to another token out of a part of a value; null where there is none. */
export type ReadReference = (it: unknown, path: readonly string[]) => Value | null;
export type ReadValue = (it: unknown, path: readonly string[], reference: ReadReference) => Value;

/** Weights by name (Format Module 2025.10, section 8.4). */
const WEIGHTS: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
  'extra-black': 950,
  'ultra-black': 950,
};

const isNumber = (it: unknown): it is number => typeof it === 'number' && Number.isFinite(it);

function color(it: unknown, path: readonly string[]): Color {
  if (typeof it === 'string') {
    const read = parseColor(it);
    if (read) return read;
    throw new BadToken(path, `${it} is no colour.`, 'a colour');
  }
  if (!isNode(it)) throw new BadToken(path, 'A colour is an object.', '{"colorSpace": …, "components": […]}');
  const space = it.colorSpace;
  if (typeof space !== 'string' || !isColorSpace(space))
    throw new BadToken([...path, 'colorSpace'], `There is no colour space ${String(space)}.`, 'srgb, oklch…');
  const components: readonly unknown[] = Array.isArray(it.components) ? it.components : [];
  const at = (i: number) => (components[i] === 'none' ? 0 : components[i]);
  const [a, b, c] = [at(0), at(1), at(2)];
  if (!isNumber(a) || !isNumber(b) || !isNumber(c) || components.length !== 3)
    throw new BadToken([...path, 'components'], 'A colour has three components.', 'three numbers or "none"');
  const alpha = it.alpha ?? 1;
  if (!isNumber(alpha) || alpha < 0 || alpha > 1)
    throw new BadToken([...path, 'alpha'], 'Alpha is a number from 0 to 1.');
  return { space, coords: [a, b, c], alpha };
}

function length(it: unknown, path: readonly string[]): Length {
  if (isNode(it) && isNumber(it.value) && (it.unit === 'px' || it.unit === 'rem'))
    return { value: it.value, unit: it.unit };
  const read = typeof it === 'string' ? parseLength(it) : null;
  if (!read) throw new BadToken(path, 'This is no dimension.', '{"value": 1.5, "unit": "rem"}');
  return read;
}

function layer(it: unknown, path: readonly string[], reference: ReadReference): ShadowLayer {
  if (!isNode(it))
    throw new BadToken(path, 'A shadow is an object.', 'color, offsetX, offsetY, blur, spread');
  const of = (key: string) => length(it[key] ?? { value: 0, unit: 'px' }, [...path, key]);
  return {
    x: of('offsetX'),
    y: of('offsetY'),
    blur: of('blur'),
    spread: of('spread'),
    inset: it.inset === true,
    color: reference(it.color, [...path, 'color']) ?? {
      type: 'color',
      value: color(it.color, [...path, 'color']),
    },
  };
}

const checked = (value: Value | null, path: readonly string[], expected: string): Value => {
  const read = value && readValue(value);
  if (!read) throw new BadToken(path, `This is not ${expected}.`, expected);
  return read;
};

/** `$type` of the format → how its `$value` is read (Format Module 2025.10, sections 8 and 9). */
export const READERS: Readonly<Record<string, ReadValue>> = {
  color: (it, path) => ({ type: 'color', value: color(it, path) }),
  dimension: (it, path) => ({ type: 'dimension', value: length(it, path) }),
  number: (it, path) => checked(isNumber(it) ? { type: 'number', value: it } : null, path, 'a number'),
  fontWeight(it, path) {
    const weight = typeof it === 'string' && Object.hasOwn(WEIGHTS, it) ? WEIGHTS[it] : it;
    const good = isNumber(weight) && weight >= 1 && weight <= 1000;
    return checked(good ? { type: 'number', value: weight } : null, path, 'a weight from 1 to 1000');
  },
  duration(it, path) {
    const text = typeof it === 'string' ? /^([\d.]+)(ms|s)$/.exec(it) : null;
    const [value, unit] = isNode(it) ? [it.value, it.unit] : [Number(text?.[1] ?? Number.NaN), text?.[2]];
    const good = isNumber(value) && (unit === 'ms' || unit === 's');
    const ms = good ? { type: 'duration' as const, value: unit === 's' ? value * 1000 : value } : null;
    return checked(ms, path, '{"value": 140, "unit": "ms"}');
  },
  cubicBezier(it, path) {
    const [a, b, c, d] = Array.isArray(it) ? it : [];
    const good = isNumber(a) && isNumber(b) && isNumber(c) && isNumber(d);
    return checked(good ? { type: 'cubicBezier', value: [a, b, c, d] } : null, path, 'four numbers');
  },
  fontFamily(it, path) {
    const names = (Array.isArray(it) ? it : [it]).filter(name => typeof name === 'string');
    return checked(names.length > 0 ? { type: 'fontFamily', value: names } : null, path, 'names of families');
  },
  shadow(it, path, reference) {
    const layers = Array.isArray(it) ? it : [it];
    const at = (i: number) => (Array.isArray(it) ? [...path, String(i)] : path);
    const value = layers.map((inner, i) => layer(inner, at(i), reference));
    return checked({ type: 'shadow', value }, path, 'one to eight shadows');
  },
  // The format has no direction; ours is kept beside the value.
  gradient(it, path, reference) {
    const list = Array.isArray(it) ? it : [];
    const stops = list.map((stop: unknown, i) => {
      const at = [...path, String(i)];
      if (!isNode(stop) || !isNumber(stop.position))
        throw new BadToken(at, 'A stop has a color and a position.', '{"color": …, "position": 0.5}');
      const shade: Value = reference(stop.color, [...at, 'color']) ?? {
        type: 'color',
        value: color(stop.color, [...at, 'color']),
      };
      return { color: shade, at: Math.min(1, Math.max(0, stop.position)) };
    });
    return checked({ type: 'gradient', shape: 'linear', angle: 180, stops }, path, 'two to twelve stops');
  },
};

/** Kinds of token of the format that the guide has no place for; they are told and left out. */
export const LEFT_OUT = ['strokeStyle', 'border', 'transition'] as const;
