/// <reference path="../color-name.d.ts" />
import names from 'color-name';
import { LIMITS, nestsTooDeep } from '../../limits/index.ts';
import type { Color, ColorSpaceId, Triple } from '../color.ts';
import { ARCS, type Arc, hueAt, type Partial3 } from '../interpolate.ts';
import { isColorSpace } from '../spaces/index.ts';
import { type Expression, parseChannel } from './quantity.ts';
import { Cursor, tokenize } from './tokens.ts';

/** How the three arguments of a colour function are read. */
export interface Shape {
  space: ColorSpaceId;
  /** What 100% means of each. */
  full: Triple;
  /** Plain numbers are divided by this: rgb() counts to 255. */
  divide: number;
  /** Names of its channels, as relative colours say them. */
  channels: readonly [string, string, string];
}

const shape = (space: ColorSpaceId, channels: string, full: Triple, divide = 1): Shape => {
  const [a = '', b = '', c = ''] = channels;
  return { space, full, divide, channels: [a, b, c] };
};
const SHAPES: Readonly<Record<string, Shape>> = {
  rgb: shape('srgb', 'rgb', [1, 1, 1], 255),
  hsl: shape('hsl', 'hsl', [0, 100, 100]),
  hwb: shape('hwb', 'hwb', [0, 100, 100]),
  lab: shape('lab', 'lab', [100, 125, 125]),
  lch: shape('lch', 'lch', [100, 150, 0]),
  oklab: shape('oklab', 'lab', [1, 0.4, 0.4]),
  oklch: shape('oklch', 'lch', [1, 0.4, 0]),
};

const spaceNamed = (name: string): ColorSpaceId | null => {
  const id = name === 'xyz' ? 'xyz-d65' : name;
  return isColorSpace(id) ? id : null;
};
/** Of `color()`: the spaces that have no function of their own. */
const shapeOfSpace = (name: string): Shape | null => {
  const space = spaceNamed(name);
  if (!space || Object.hasOwn(SHAPES, space)) return null;
  return shape(space, space.startsWith('xyz') ? 'xyz' : 'rgb', [1, 1, 1]);
};

/** A colour as it is written (CSS Color 4 and 5). */
export type ColorSyntax =
  | { type: 'color'; color: Partial3 }
  /** `rgb(…)` and its like; `from` of a relative colour. */
  | {
      type: 'channels';
      shape: Shape;
      from: ColorSyntax | null;
      channels: readonly [Expression, Expression, Expression];
      alpha: Expression | null;
      /** With commas, as CSS Color 3 had it. */
      legacy: boolean;
    }
  | {
      type: 'mix';
      space: ColorSpaceId;
      arc: Arc;
      /** Each with its per cent, where one is written. */
      parts: readonly [MixPart, MixPart];
    }
  | { type: 'lightDark'; light: ColorSyntax; dark: ColorSyntax }
  /** `var(--name)` with what holds where there is none, or `{a.token}`. */
  | { type: 'reference'; kind: 'property' | 'token'; name: string; fallback: ColorSyntax | null };

export interface MixPart {
  color: ColorSyntax;
  percent: number | null;
}

const literal = ({ space, coords, alpha }: Color): ColorSyntax => ({
  type: 'color',
  color: { space, coords, alpha },
});

function parseHex(text: string): ColorSyntax | null {
  if (!/^#([0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/.test(text)) return null;
  const digits = text.length < 6 ? text.slice(1).replace(/./g, '$&$&') : text.slice(1);
  const at = (i: number) => Number.parseInt(digits.slice(i * 2, i * 2 + 2), 16) / 255;
  return literal({
    space: 'srgb',
    coords: [at(0), at(1), at(2)],
    alpha: digits.length === 8 ? at(3) : 1,
  });
}

function parseName(text: string): ColorSyntax | null {
  if (text === 'transparent') return literal({ space: 'srgb', coords: [0, 0, 0], alpha: 0 });
  const named = Object.hasOwn(names, text) ? names[text] : undefined;
  if (!named) return null;
  return literal({ space: 'srgb', coords: [named[0] / 255, named[1] / 255, named[2] / 255], alpha: 1 });
}

function parseChannels(cursor: Cursor, name: string): ColorSyntax | null {
  const from = cursor.takesWord('from') ? parseOne(cursor) : null;
  let shaped: Shape | null = Object.hasOwn(SHAPES, name) ? (SHAPES[name] ?? null) : null;
  if (name === 'color') {
    const space = cursor.next();
    shaped = space?.type === 'word' ? shapeOfSpace(space.text) : null;
  }
  const first = shaped && parseChannel(cursor);
  if (!shaped || !first) return null;
  const legacy = cursor.takesSymbol(',');
  if (legacy && (from || (name !== 'rgb' && name !== 'hsl'))) return null;
  const second = parseChannel(cursor);
  if (legacy && !cursor.takesSymbol(',')) return null;
  const third = parseChannel(cursor);
  let alpha: Expression | null = null;
  if (cursor.takesSymbol(legacy ? ',' : '/')) {
    alpha = parseChannel(cursor);
    if (!alpha) return null;
  }
  if (!second || !third || !cursor.closes()) return null;
  return { type: 'channels', shape: shaped, from, channels: [first, second, third], alpha, legacy };
}

function parsePart(cursor: Cursor): MixPart | null {
  const percent = (): number | null => {
    const it = cursor.peek();
    if (it?.type !== 'number' || it.unit !== '%') return null;
    cursor.next();
    return it.value;
  };
  const before = percent();
  const color = parseOne(cursor);
  const share = before ?? percent();
  return color && (share === null || (share >= 0 && share <= 100)) ? { color, percent: share } : null;
}

function parseMix(cursor: Cursor): ColorSyntax | null {
  let space: ColorSpaceId | null = 'oklab';
  let arc: Arc = 'shorter';
  if (cursor.takesWord('in')) {
    const named = cursor.next();
    space = named?.type === 'word' ? spaceNamed(named.text) : null;
    const asked = ARCS.find(it => cursor.takesWord(it));
    if (asked) {
      if (!cursor.takesWord('hue') || !space || hueAt(space) === null) return null;
      arc = asked;
    }
    if (!cursor.takesSymbol(',')) return null;
  }
  const first = parsePart(cursor);
  const second = first && cursor.takesSymbol(',') ? parsePart(cursor) : null;
  if (!space || !first || !second || !cursor.closes()) return null;
  return { type: 'mix', space, arc, parts: [first, second] };
}

function parseLightDark(cursor: Cursor): ColorSyntax | null {
  const light = parseOne(cursor);
  const dark = light && cursor.takesSymbol(',') ? parseOne(cursor) : null;
  return light && dark && cursor.closes() ? { type: 'lightDark', light, dark } : null;
}

function parseVar(cursor: Cursor): ColorSyntax | null {
  const named = cursor.next();
  if (named?.type !== 'word' || !named.text.startsWith('--')) return null;
  const fallback = cursor.takesSymbol(',') ? parseOne(cursor) : null;
  return cursor.closes()
    ? { type: 'reference', kind: 'property', name: named.text.slice(2), fallback }
    : null;
}

function parseOne(cursor: Cursor): ColorSyntax | null {
  const it = cursor.next();
  switch (it?.type) {
    case 'hash':
      return parseHex(it.text);
    case 'word':
      return parseName(it.text);
    case 'braces':
      return { type: 'reference', kind: 'token', name: it.text, fallback: null };
    case 'open':
      switch (it.name) {
        case 'color-mix':
          return parseMix(cursor);
        case 'light-dark':
          return parseLightDark(cursor);
        case 'var':
          return parseVar(cursor);
        default:
          return parseChannels(cursor, it.name.replace(/^(rgb|hsl)a$/, '$1'));
      }
    default:
      return null;
  }
}

/** Reads a colour as it is written; null for what is none. Longer or deeper text than people type is not looked at. */
export function parseSyntax(source: string): ColorSyntax | null {
  if (source.length > LIMITS.typed.value || nestsTooDeep(source)) return null;
  const tokens = tokenize(source);
  if (!tokens) return null;
  const cursor = new Cursor(tokens);
  const found = parseOne(cursor);
  return cursor.done ? found : null;
}
