import { type Color, isColorSpace, parseColor } from '../color/index.ts';
import {
  type GradientStop,
  type Length,
  LONGEST_STACK,
  parseFamilies,
  parseLength,
  parseLiteral,
  readValue,
  type ShadowLayer,
  splitTop,
  type Value,
  type WorkedOut,
} from '../values/index.ts';
import { simplified } from './gradients.ts';
import { BadToken, isNode } from './tree.ts';

type Path = readonly string[];

/** What a value is read with. */
export interface Parts {
  /**
   * A part of a value, aliases followed to the end; `type` is what it has to be of. What is no alias is answered as it is.
   * Refuses an alias of another type, or that leads nowhere.
   */
  follow(it: unknown, path: Path, type: string): unknown;
  /** A part that is an alias, as a reference that goes on following; null where it is none. */
  reference(it: unknown, path: Path, type: string): Value | null;
  /** What a sum of numbers, lengths and tokens comes to; null for what is no sum. */
  sum(text: string): WorkedOut | null;
  /** Tells that something is not as the format has it, though it can be read. */
  earlier(path: Path, message: string, fix: string): void;
  /** Tells what of it is left out, though the rest is read. */
  lossy(message: string): void;
}

export type ReadValue = (it: unknown, path: Path, parts: Parts) => Value;

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

function color(it: unknown, path: Path, parts: Parts): Color {
  if (typeof it === 'string') {
    const read = parseColor(it);
    if (!read) throw new BadToken(path, `“${shortened(it)}” is not a colour.`, 'a colour');
    parts.earlier(path, 'A colour is written as text.', '{"colorSpace": …, "components": […]}');
    return read;
  }
  if (!isNode(it))
    throw new BadToken(path, 'A colour is an object.', '{"colorSpace": "srgb", "components": [0, 0, 0]}');
  const space = it.colorSpace;
  if (typeof space !== 'string' || !isColorSpace(space))
    throw new BadToken([...path, 'colorSpace'], `There is no colour space ${String(space)}.`, 'srgb, oklch…');
  const components: readonly unknown[] = Array.isArray(it.components) ? it.components : [];
  // Nearly all are numbers: for those no path is made.
  const at = (i: number) => {
    const given = components[i];
    if (isNumber(given)) return given;
    const part = parts.follow(given, [...path, 'components', String(i)], 'number');
    return part === 'none' ? 0 : part;
  };
  const [a, b, c] = [at(0), at(1), at(2)];
  if (!isNumber(a) || !isNumber(b) || !isNumber(c) || components.length !== 3)
    throw new BadToken([...path, 'components'], 'A colour has three components.', 'three numbers or "none"');
  const given = it.alpha ?? 1;
  const alpha = isNumber(given) ? given : parts.follow(given, [...path, 'alpha'], 'number');
  if (!isNumber(alpha) || alpha < 0 || alpha > 1)
    throw new BadToken([...path, 'alpha'], 'Alpha is a number from 0 to 1.', '1');
  return { space, coords: [a, b, c], alpha };
}

const shortened = (text: string): string => (text.length > 60 ? `${text.slice(0, 60)}…` : text);

function length(given: unknown, path: Path, parts: Parts): Length {
  const it = parts.follow(given, path, 'dimension');
  if (isNode(it)) {
    const value = isNumber(it.value) ? it.value : parts.follow(it.value, [...path, 'value'], 'number');
    if (isNumber(value) && (it.unit === 'px' || it.unit === 'rem')) return { value, unit: it.unit };
    const read = isNumber(value) && typeof it.unit === 'string' ? parseLength(`${value}${it.unit}`) : null;
    if (read) {
      parts.earlier(path, `A dimension is given in ${read.unit}.`, 'px or rem');
      return read;
    }
  }
  const read = isNumber(it)
    ? { value: it, unit: 'px' as const }
    : typeof it === 'string'
      ? (lengthIn(it) ?? lengthIn(workedOut(it, path, parts) ?? ''))
      : null;
  if (!read) throw new BadToken(path, 'This is not a dimension.', '{"value": 1.5, "unit": "rem"}');
  parts.earlier(
    path,
    isNumber(it) ? 'A dimension has no unit; it is taken as px.' : 'A dimension is written as text.',
    `{"value": ${read.value}, "unit": "${read.unit}"}`,
  );
  return read;
}

/** What a text comes to that counts with other tokens: `{space.base} * 1.5`. It is worked out once, and does not go on following. */
function workedOut(text: string, path: Path, parts: Parts): string | null {
  const sum = parts.sum(text);
  if (!sum) return null;
  if (sum.isMixed) parts.lossy(MIXED);
  parts.earlier(path, 'It is worked out once, and does not follow.', sum.text);
  return sum.text;
}

/** Told where lengths of both units are put together. */
export const MIXED = 'It is worked out with 16 px to the rem.';

/** As CSS writes it, or a bare number, which is px. */
const lengthIn = (text: string): Length | null => {
  const plain = /^-?[\d.]+$/.test(text.trim()) ? Number(text) : Number.NaN;
  return Number.isFinite(plain) ? { value: plain, unit: 'px' } : parseLength(text);
};

function paint(it: unknown, path: Path, parts: Parts): Value {
  return parts.reference(it, path, 'color') ?? { type: 'color', value: color(it, path, parts) };
}

/** A colour inside a value that is written as text: an alias, or a colour. */
const colorIn = (text: string, path: Path, parts: Parts): Value | null =>
  parts.reference(text, path, 'color') ?? parseLiteral(text, 'color');

const SHADOW = '{"color": …, "offsetX": …, "offsetY": …, "blur": …, "spread": …}';
/** How other spellings call the parts of a shadow. */
const SHADOW_PARTS = { offsetX: 'x', offsetY: 'y', blur: 'blurRadius', spread: 'spreadRadius' } as const;

/** The layers that one entry of a shadow stands for: several where it is an alias. */
function layers(given: unknown, path: Path, parts: Parts): readonly ShadowLayer[] {
  const it = parts.follow(given, path, 'shadow');
  if (Array.isArray(it)) return it.flatMap((inner, i) => layers(inner, [...path, String(i)], parts));
  if (typeof it === 'string') {
    const read = parseLiteral(it, 'shadow', shade => colorIn(shade, path, parts));
    if (read?.type !== 'shadow') throw new BadToken(path, `“${shortened(it)}” is not a shadow.`, SHADOW);
    parts.earlier(path, 'A shadow is written as text.', SHADOW);
    return read.value;
  }
  if (!isNode(it)) throw new BadToken(path, 'A shadow is an object.', SHADOW);
  const of = (key: keyof typeof SHADOW_PARTS): Length => {
    const other = SHADOW_PARTS[key];
    if (it[key] !== undefined) return length(it[key], [...path, key], parts);
    if (it[other] === undefined)
      throw new BadToken(path, `A shadow needs ${key}.`, `"${key}": {"value": 0, "unit": "px"}`);
    parts.earlier([...path, other], `${key} is called ${other}.`, `"${key}"`);
    return length(it[other], [...path, other], parts);
  };
  return [
    {
      x: of('offsetX'),
      y: of('offsetY'),
      blur: of('blur'),
      spread: of('spread'),
      inset: it.inset === true || it.type === 'innerShadow' || it.type === 'inset',
      color: paint(it.color, [...path, 'color'], parts),
    },
  ];
}

const STOP = '{"color": …, "position": 0.5}';

/** The stops that one entry of a gradient stands for. */
function stops(given: unknown, path: Path, parts: Parts): readonly GradientStop[] {
  const it = parts.follow(given, path, 'gradient');
  if (Array.isArray(it)) return it.flatMap((inner, i) => stops(inner, [...path, String(i)], parts));
  if (!isNode(it)) throw new BadToken(path, 'A stop has a color and a position.', STOP);
  const position = parts.follow(it.position, [...path, 'position'], 'number');
  if (!isNumber(position)) throw new BadToken(path, 'A stop has a color and a position.', STOP);
  return [{ color: paint(it.color, [...path, 'color'], parts), at: Math.min(1, Math.max(0, position)) }];
}

/** Families by name that stand for what the system has: a guide calls it `system-ui`. */
const isSystem = (name: string): boolean => /^(?:-apple-|\.|BlinkMacSystemFont$)/.test(name);

function families(given: unknown, path: Path, parts: Parts): readonly string[] {
  const it = parts.follow(given, path, 'fontFamily');
  if (Array.isArray(it)) return it.flatMap((inner, i) => families(inner, [...path, String(i)], parts));
  if (typeof it !== 'string' || it.trim() === '')
    throw new BadToken(path, 'A family is a name, or a list of names.', '["Literata", "serif"]');
  const stack = splitTop(it, /,/).map(name => (isSystem(name) ? 'system-ui' : name));
  return parseFamilies(stack.join(', '))?.value ?? [it.trim()];
}

const checked = (value: Value | null, path: Path, expected: string): Value => {
  const read = value && readValue(value);
  if (!read) throw new BadToken(path, `This is not ${expected}.`, expected);
  return read;
};

const plainNumber = (it: unknown, path: Path, parts: Parts): number | null => {
  if (isNumber(it)) return it;
  const percent = typeof it === 'string' ? /^(-?[\d.]+)(%?)$/.exec(it.trim()) : null;
  const value = Number(percent?.[1] ?? Number.NaN) / (percent?.[2] === '%' ? 100 : 1);
  if (!Number.isFinite(value)) return null;
  parts.earlier(path, 'A number is written as text.', String(value));
  return value;
};

/** `$type` of the format → how its `$value` is read (Format Module 2025.10, sections 8 and 9). */
export const READERS: Readonly<Record<string, ReadValue>> = {
  color: (it, path, parts) => checked({ type: 'color', value: color(it, path, parts) }, path, 'a colour'),
  dimension(it, path, parts) {
    const ends = typeof it === 'string' && it.includes('..') ? parseLiteral(it, 'fluid') : null;
    return ends ?? checked({ type: 'dimension', value: length(it, path, parts) }, path, 'a dimension');
  },
  number(it, path, parts) {
    const value =
      plainNumber(it, path, parts) ??
      (typeof it === 'string' ? plainNumber(workedOut(it, path, parts), path, parts) : null);
    return checked(value === null ? null : { type: 'number', value }, path, 'a number');
  },
  fontWeight(it, path, parts) {
    const name =
      typeof it === 'string'
        ? it
            .trim()
            .toLowerCase()
            .replace(/[\s_]+/g, '-')
        : '';
    const known = Object.hasOwn(WEIGHTS, name) ? WEIGHTS[name] : undefined;
    const joined = Object.keys(WEIGHTS).find(word => word.replace('-', '') === name);
    const weight = known ?? (joined ? WEIGHTS[joined] : undefined) ?? plainNumber(it, path, parts);
    const good = isNumber(weight) && weight >= 1 && weight <= 1000;
    return checked(good ? { type: 'number', value: weight } : null, path, 'a weight from 1 to 1000');
  },
  duration(it, path, parts) {
    const text = typeof it === 'string' ? /^([\d.]+)(ms|s)$/.exec(it.trim()) : null;
    if (text) parts.earlier(path, 'A duration is written as text.', '{"value": 140, "unit": "ms"}');
    const [given, unit] = isNode(it)
      ? [parts.follow(it.value, [...path, 'value'], 'number'), it.unit]
      : isNumber(it)
        ? [it, 'ms']
        : [Number(text?.[1] ?? Number.NaN), text?.[2]];
    const good = isNumber(given) && (unit === 'ms' || unit === 's');
    const ms = good ? { type: 'duration' as const, value: unit === 's' ? given * 1000 : given } : null;
    return checked(ms, path, '{"value": 140, "unit": "ms"}');
  },
  cubicBezier(it, path, parts) {
    if (typeof it === 'string') {
      parts.earlier(path, 'A curve is written as text.', '[0.2, 0, 0, 1]');
      return checked(parseLiteral(easingNamed(it.trim()) ?? it, 'cubicBezier'), path, 'four numbers');
    }
    const points = (Array.isArray(it) ? it : []).map((point: unknown, i) =>
      parts.follow(point, [...path, String(i)], 'number'),
    );
    const [a, b, c, d] = points;
    const good = points.length === 4 && isNumber(a) && isNumber(b) && isNumber(c) && isNumber(d);
    return checked(good ? { type: 'cubicBezier', value: [a, b, c, d] } : null, path, 'four numbers');
  },
  fontFamily(it, path, parts) {
    const names = [...new Set(families(it, path, parts))];
    if (names.length > LONGEST_STACK)
      parts.lossy(`It names ${names.length} families. The first ${LONGEST_STACK} are taken.`);
    return checked({ type: 'fontFamily', value: names.slice(0, LONGEST_STACK) }, path, 'names of families');
  },
  shadow(it, path, parts) {
    const value = layers(it, path, parts);
    return checked({ type: 'shadow', value }, path, 'one to eight shadows');
  },
  // The format has no direction; ours is kept beside the value.
  gradient(it, path, parts) {
    if (typeof it === 'string') {
      parts.earlier(path, 'A gradient is written as text.', `[${STOP}, ${STOP}]`);
      const { text, left } = simplified(it);
      if (left !== null) parts.lossy(left);
      return checked(
        parseLiteral(text, 'gradient', shade => colorIn(shade, path, parts)),
        path,
        'a gradient',
      );
    }
    return checked(
      { type: 'gradient', shape: 'linear', angle: 180, stops: stops(it, path, parts) },
      path,
      'two to twelve stops',
    );
  },
};

/** Curves by name (CSS Easing Functions 1, section 2.2.1). */
const EASINGS: Readonly<Record<string, string>> = {
  linear: 'cubic-bezier(0, 0, 1, 1)',
  ease: 'cubic-bezier(0.25, 0.1, 0.25, 1)',
  'ease-in': 'cubic-bezier(0.42, 0, 1, 1)',
  'ease-out': 'cubic-bezier(0, 0, 0.58, 1)',
  'ease-in-out': 'cubic-bezier(0.42, 0, 0.58, 1)',
};

export const easingNamed = (name: string): string | undefined =>
  Object.hasOwn(EASINGS, name) ? EASINGS[name] : undefined;
