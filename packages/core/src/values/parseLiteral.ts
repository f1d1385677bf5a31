import { parseColor } from '../color/index.ts';
import { LIMITS } from '../limits/index.ts';
import {
  type GradientStop,
  isId,
  LENGTH_UNITS,
  type Length,
  type LengthUnit,
  type LiteralType,
  PLACE_UNITS,
  type ShadowLayer,
  type Value,
} from './value.ts';

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)$/;
const isUnit = (unit: string): unit is LengthUnit => (LENGTH_UNITS as readonly string[]).includes(unit);

/** A length with a unit, or a bare 0. Simple arithmetic is worked out: `24/16rem`, `1.5*2rem`. */
export function parseLength(source: string): Length | null {
  if (source.length > LIMITS.typed.value) return null;
  const match = /^([-+*/().\d\s]+?)\s*([a-z%]*)$/i.exec(source.trim());
  if (!match?.[1]) return null;
  const value = parseArithmetic(match[1]);
  const unit = (match[2] ?? '').toLowerCase();
  if (value === null) return null;
  if (unit === '') return value === 0 ? { value: 0, unit: 'px' } : null;
  return isUnit(unit) ? { value, unit } : null;
}

/** A number or a sum of numbers with + - * / and brackets; null for anything else. */
export function parseArithmetic(source: string): number | null {
  if (source.length > LIMITS.typed.value || nestsTooDeep(source)) return null;
  const tokens = source.match(/\d+\.?\d*|\.\d+|[-+*/()]/g) ?? [];
  if (tokens.join('') !== source.replace(/\s+/g, '')) return null;
  let at = 0;
  const factor = (): number => {
    const t = tokens[at++];
    if (t === '-') return -factor();
    if (t === '+') return factor();
    if (t === '(') {
      const inner = sum();
      return tokens[at++] === ')' ? inner : Number.NaN;
    }
    return t === undefined ? Number.NaN : Number(t);
  };
  const product = (): number => {
    let n = factor();
    while (tokens[at] === '*' || tokens[at] === '/') n = tokens[at++] === '*' ? n * factor() : n / factor();
    return n;
  };
  const sum = (): number => {
    let n = product();
    while (tokens[at] === '+' || tokens[at] === '-') n = tokens[at++] === '+' ? n + product() : n - product();
    return n;
  };
  const result = sum();
  return at === tokens.length && Number.isFinite(result) ? Number(result.toFixed(6)) : null;
}

/** Whether brackets stand one within another more deeply than they may. */
export function nestsTooDeep(source: string): boolean {
  let depth = 0;
  for (const c of source) {
    if (c === '(' || c === '{') depth++;
    else if (c === ')' || c === '}') depth--;
    if (depth > LIMITS.typed.brackets) return true;
  }
  return false;
}

/** Splits on a separator that is not inside brackets or quotes. */
export function splitTop(source: string, separator: RegExp): string[] {
  const parts: string[] = [];
  let depth = 0;
  let quote = '';
  let current = '';
  for (const c of source) {
    if (quote) {
      if (c === quote) quote = '';
    } else if (c === '"' || c === "'") quote = c;
    else if (c === '(' || c === '{') depth++;
    else if (c === ')' || c === '}') depth--;
    else if (depth === 0 && separator.test(c)) {
      parts.push(current.trim());
      current = '';
      continue;
    }
    current += c;
  }
  parts.push(current.trim());
  return parts.filter(part => part !== '');
}

function parseShadow(source: string, color: (text: string) => Value | null): Value | null {
  const layers: ShadowLayer[] = [];
  for (const text of splitTop(source, /,/)) {
    const lengths: Length[] = [];
    let inset = false;
    let shade: Value | null = null;
    for (const word of splitTop(text, /\s/)) {
      const length = parseLength(word);
      if (word === 'inset') inset = true;
      else if (length) lengths.push(length);
      else if (shade) return null;
      else shade = color(word);
    }
    const [x, y, blur = { value: 0, unit: 'px' as const }, spread = { value: 0, unit: 'px' as const }] =
      lengths;
    if (!x || !y || lengths.length > 4 || !shade) return null;
    layers.push({ x, y, blur, spread, inset, color: shade });
  }
  return layers.length > 0 ? { type: 'shadow', value: layers } : null;
}

/** `linear-gradient(120deg, #fff, #000 60%)`: stops without a place are spread evenly between their neighbours. */
function parseGradient(source: string, color: (text: string) => Value | null): Value | null {
  const call = /^(linear|radial)-gradient\((.*)\)$/s.exec(source);
  if (!call?.[2]) return null;
  const shape = call[1] === 'linear' ? 'linear' : 'radial';
  const parts = splitTop(call[2], /,/);
  const turned = shape === 'linear' ? /^(-?\d+\.?\d*)deg$/.exec(parts[0] ?? '') : null;
  if (turned) parts.shift();
  const read = parts.map(part => {
    const place = /^(.*?)\s+(\d+\.?\d*)%$/s.exec(part);
    const shade = color((place?.[1] ?? part).trim());
    return shade && { color: shade, at: place?.[2] === undefined ? null : Number(place[2]) / 100 };
  });
  if (read.length < 2 || read.length > 12 || read.some(it => !it)) return null;
  const places = read.map(it => it?.at ?? null);
  if (places[0] === null) places[0] = 0;
  if (places.at(-1) === null) places[places.length - 1] = 1;
  const stops = read.flatMap((it, i): GradientStop[] => {
    if (!it) return [];
    let from = i;
    while (places[from] == null) from--;
    let to = i;
    while (places[to] == null) to++;
    const [low, high] = [places[from] ?? 0, places[to] ?? 1];
    const at = from === to ? low : low + ((high - low) * (i - from)) / (to - from);
    return [{ color: it.color, at: Math.min(1, Number(at.toFixed(6))) }];
  });
  return { type: 'gradient', shape, angle: turned ? Number(turned[1]) : shape === 'linear' ? 180 : 0, stops };
}

/** `picture(quay, #000 40%)`, `pattern(waves, #fff, #000 40%)`: an id, for a pattern its ink, and a tint where there is one. */
function parseImage(
  source: string,
  type: 'picture' | 'pattern',
  color: (text: string) => Value | null,
): Value | null {
  const inner = new RegExp(`^${type}\\((.*)\\)$`, 's').exec(source)?.[1];
  const [id, ...colours] = inner === undefined ? [] : splitTop(inner, /,/);
  if (!isId(id)) return null;
  const inked = type === 'pattern' ? colours.shift() : undefined;
  const [over, ...rest] = colours;
  const written = over === undefined ? null : /^(.*?)(?:\s+(\d+\.?\d*)%)?$/s.exec(over);
  const laid = written?.[1] === undefined ? null : color(written[1]);
  const tint = laid && { color: laid, share: written?.[2] === undefined ? 1 : Number(written[2]) / 100 };
  if (rest.length > 0 || (over !== undefined && !tint) || (tint && tint.share > 1)) return null;
  if (type === 'picture') return { type, asset: id, tint };
  const ink = inked === undefined ? null : color(inked);
  return ink && { type, drawing: id, ink, tint };
}

/** A family name as typed: letters, digits, spaces and hyphens; nothing that could end a CSS string. */
const FAMILY = /^[\p{L}\p{N}][\p{L}\p{N} _-]{0,63}$/u;

export function parseFamilies(source: string): Value | null {
  if (source.length > LIMITS.typed.value) return null;
  const names = splitTop(source, /,/).map(name => name.replace(/^(["'])(.*)\1$/, '$2').trim());
  return names.length > 0 && names.every(name => FAMILY.test(name))
    ? { type: 'fontFamily', value: names }
    : null;
}

/** Reads one literal of the type asked for. `color` reads the colour inside a shadow, which may be a reference. */
export function parseLiteral(
  source: string,
  type: LiteralType,
  color: (text: string) => Value | null = text => parseLiteral(text, 'color'),
): Value | null {
  if (source.length > LIMITS.typed.value) return null;
  const text = source.trim();
  switch (type) {
    case 'color': {
      const value = parseColor(text);
      return value && { type, value };
    }
    case 'dimension': {
      const value = parseLength(text);
      return value && { type, value };
    }
    case 'fluid': {
      const [low, high, ...rest] = text.split(/\s*(?:\.\.|–| to )\s*/);
      const min = low && parseLength(low);
      const max = high && parseLength(high);
      const absolute = (l: Length) => l.unit === 'px' || l.unit === 'rem';
      return min && max && rest.length === 0 && absolute(min) && absolute(max) ? { type, min, max } : null;
    }
    case 'number': {
      const value = parseArithmetic(text);
      return value === null ? null : { type, value };
    }
    case 'duration': {
      const match = /^(.*?)(ms|s)$/.exec(text);
      if (!match?.[1] || !NUMBER.test(match[1])) return null;
      const value = Number(match[1]) * (match[2] === 's' ? 1000 : 1);
      return value >= 0 ? { type, value } : null;
    }
    case 'cubicBezier': {
      const match = /^cubic-bezier\((.*)\)$/.exec(text);
      const points =
        match?.[1]?.split(',').map(part => (NUMBER.test(part.trim()) ? Number(part) : Number.NaN)) ?? [];
      const [a, b, c, d] = points;
      if (a === undefined || b === undefined || c === undefined || d === undefined || points.length !== 4)
        return null;
      const valid = points.every(Number.isFinite) && a >= 0 && a <= 1 && c >= 0 && c <= 1;
      return valid ? { type, value: [a, b, c, d] } : null;
    }
    case 'fontFamily':
      return parseFamilies(text);
    case 'shadow':
      return parseShadow(text, color);
    case 'gradient':
      return parseGradient(text, color);
    case 'picture':
    case 'pattern':
      return parseImage(text, type, color);
    case 'position': {
      const [x, y, ...rest] = splitTop(text, /\s/).map(parseLength);
      const fits = x && y && [x, y].every(it => PLACE_UNITS.includes(it.unit));
      return fits && rest.length === 0 ? { type, x, y } : null;
    }
    case 'keyword':
      return /^[a-z][a-z-]*$/.test(text) ? { type, value: text } : null;
  }
}
