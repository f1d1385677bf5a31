/// <reference path="./color-name.d.ts" />
import names from 'color-name';
import type { Color, ColorSpaceId, Triple } from './color.ts';
import { isColorSpace } from './spaces/index.ts';

/** How each of the three arguments of a colour function is read: what 100% means, and whether it is an angle. */
interface Shape {
  space: ColorSpaceId;
  full: Triple;
  angle?: 0 | 2;
  /** Plain numbers are divided by this (rgb() counts to 255). */
  divide?: number;
}

const SHAPES: Record<string, Shape> = {
  rgb: { space: 'srgb', full: [1, 1, 1], divide: 255 },
  hsl: { space: 'hsl', full: [0, 100, 100], angle: 0 },
  hwb: { space: 'hwb', full: [0, 100, 100], angle: 0 },
  lab: { space: 'lab', full: [100, 125, 125] },
  lch: { space: 'lch', full: [100, 150, 0], angle: 2 },
  oklab: { space: 'oklab', full: [1, 0.4, 0.4] },
  oklch: { space: 'oklch', full: [1, 0.4, 0], angle: 2 },
};

const TURN: Record<string, number> = { '': 1, deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };
const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));

function parseHex(text: string): Color | null {
  if (!/^#([0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/i.test(text)) return null;
  const digits = text.length < 6 ? text.slice(1).replace(/./g, '$&$&') : text.slice(1);
  const at = (i: number) => Number.parseInt(digits.slice(i * 2, i * 2 + 2), 16) / 255;
  return { space: 'srgb', coords: [at(0), at(1), at(2)], alpha: digits.length === 8 ? at(3) : 1 };
}

/** A number, or a percentage of `full`; `none` counts as 0 (CSS Color 4, section 4.4). */
function amount(text: string, full: number, divide = 1): number | null {
  if (text === 'none') return 0;
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(%?)$/.exec(text);
  if (!match) return null;
  const n = Number(match[1]);
  return match[2] ? (n / 100) * full : n / divide;
}

function angle(text: string): number | null {
  if (text === 'none') return 0;
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(deg|grad|rad|turn)?$/.exec(text);
  const unit = TURN[match?.[2] ?? ''];
  if (!match || unit === undefined) return null;
  const degrees = Number(match[1]) * unit;
  return degrees >= 0 && degrees < 360 ? degrees : ((degrees % 360) + 360) % 360;
}

/** Characters of a colour; those that people and programs write have fewer than a hundred. */
const LONGEST = 300;

/** Reads any `<color>` of CSS Color 4 that names one colour; null for what is none (also `currentcolor`, `var()`). */
export function parseColor(source: string): Color | null {
  if (source.length > LONGEST) return null;
  const text = source.trim().toLowerCase();
  if (text.startsWith('#')) return parseHex(text);
  if (text === 'transparent') return { space: 'srgb', coords: [0, 0, 0], alpha: 0 };
  const named = Object.hasOwn(names, text) ? names[text] : undefined;
  if (named) return { space: 'srgb', coords: [named[0] / 255, named[1] / 255, named[2] / 255], alpha: 1 };

  const call = /^([a-z]+)\(\s*(.*?)\s*\)$/s.exec(text);
  if (!call?.[1] || call[2] === undefined) return null;
  const name = call[1].replace(/^(rgb|hsl)a$/, '$1');
  const commas = call[2].includes(',');
  const [body = '', ...rest] = commas ? [call[2]] : call[2].split('/');
  if (rest.length > 1) return null;
  const parts = body.trim().split(commas ? /\s*,\s*/ : /\s+/);
  if (commas && name !== 'rgb' && name !== 'hsl') return null;
  let slash = rest[0]?.trim();
  if (commas && parts.length === 4) slash = parts.pop();

  let shape: Shape | undefined = Object.hasOwn(SHAPES, name) ? SHAPES[name] : undefined;
  if (name === 'color') {
    const id = parts.shift() ?? '';
    const space = id === 'xyz' ? 'xyz-d65' : id;
    if (!isColorSpace(space) || Object.hasOwn(SHAPES, space)) return null;
    shape = { space, full: [1, 1, 1] };
  }
  if (!shape || parts.length !== 3) return null;
  const { space, full, divide } = shape;
  const read = parts.map((part, i) => (i === shape.angle ? angle(part) : amount(part, full[i] ?? 1, divide)));
  const alpha = slash === undefined ? 1 : amount(slash, 1);
  const [a, b, c] = read;
  if (a == null || b == null || c == null || alpha == null) return null;
  return { space, coords: tidy(name === 'rgb' ? 'rgb' : space, [a, b, c]), alpha: clamp(alpha, 0, 1) };
}

/** Ranges that CSS clamps at parse time: rgb channels, saturation, lightness, chroma. */
function tidy(space: ColorSpaceId | 'rgb', [a, b, c]: Triple): Triple {
  switch (space) {
    case 'rgb':
      return [clamp(a, 0, 1), clamp(b, 0, 1), clamp(c, 0, 1)];
    case 'hsl':
      return [a, Math.max(0, b), c];
    case 'lab':
      return [clamp(a, 0, 100), b, c];
    case 'lch':
      return [clamp(a, 0, 100), Math.max(0, b), c];
    case 'oklab':
      return [clamp(a, 0, 1), b, c];
    case 'oklch':
      return [clamp(a, 0, 1), Math.max(0, b), c];
    default:
      return [a, b, c];
  }
}
