import { isColorSpace } from '../color/index.ts';
import { parseFamilies } from './parseLiteral.ts';
import {
  type GradientStop,
  isId,
  LENGTH_UNITS,
  type Length,
  PLACE_UNITS,
  type ShadowLayer,
  type Tint,
  type Value,
} from './value.ts';

/** Families of one stack, and tokens or numbers that a derivation takes. */
const MOST_FAMILIES = 12;
const MOST_INPUTS = 8;

type Json = Record<string, unknown>;
const isObject = (it: unknown): it is Json => typeof it === 'object' && it !== null && !Array.isArray(it);
const isNumber = (it: unknown): it is number => typeof it === 'number' && Number.isFinite(it);
const isNumbers = (it: unknown, length: number): it is number[] =>
  Array.isArray(it) && it.length === length && it.every(isNumber);

function readLength(it: unknown): Length | null {
  if (!isObject(it) || !isNumber(it.value)) return null;
  const unit = LENGTH_UNITS.find(u => u === it.unit);
  return unit ? { value: it.value, unit } : null;
}

/** A colour inside another value: a literal, a token or a role. */
const readColour = (it: unknown): Value | null =>
  isObject(it) && (it.type === 'color' || it.type === 'token' || it.type === 'role') ? readValue(it) : null;
/** `undefined` where it is ill-formed: null is a tint that is not there. */
const readTint = (it: unknown): Tint | null | undefined => {
  if (it === null) return null;
  if (!isObject(it) || !isNumber(it.share) || it.share < 0 || it.share > 1) return undefined;
  const color = readColour(it.color);
  return color ? { color, share: it.share } : undefined;
};

/** A place in a picture is told in shares of it or in lengths; others depend on what has no place here. */
const isPlace = ({ unit }: Length): boolean => PLACE_UNITS.includes(unit);

function readLayer(it: unknown): ShadowLayer | null {
  if (!isObject(it)) return null;
  const [x, y, blur, spread] = [
    readLength(it.x),
    readLength(it.y),
    readLength(it.blur),
    readLength(it.spread),
  ];
  const color = readColour(it.color);
  if (!x || !y || !blur || !spread || !color) return null;
  return { x, y, blur, spread, inset: it.inset === true, color };
}

function readStop(it: unknown): GradientStop | null {
  if (!isObject(it) || !isNumber(it.at) || it.at < 0 || it.at > 1) return null;
  const color = readColour(it.color);
  return color && { color, at: it.at };
}

/** Reads a value out of stored or sent JSON, copying only what is known; null where it is none. */
export function readValue(it: unknown): Value | null {
  if (!isObject(it)) return null;
  switch (it.type) {
    case 'color': {
      const c = it.value;
      if (!isObject(c) || typeof c.space !== 'string' || !isColorSpace(c.space) || !isNumbers(c.coords, 3))
        return null;
      if (!isNumber(c.alpha) || c.alpha < 0 || c.alpha > 1) return null;
      const [x = 0, y = 0, z = 0] = c.coords;
      return { type: 'color', value: { space: c.space, coords: [x, y, z], alpha: c.alpha } };
    }
    case 'dimension': {
      const value = readLength(it.value);
      return value && { type: 'dimension', value };
    }
    case 'fluid': {
      const min = readLength(it.min);
      const max = readLength(it.max);
      const absolute = (l: Length) => l.unit === 'px' || l.unit === 'rem';
      return min && max && absolute(min) && absolute(max) ? { type: 'fluid', min, max } : null;
    }
    case 'number':
    case 'duration':
      return isNumber(it.value) ? { type: it.type, value: it.value } : null;
    case 'cubicBezier': {
      if (!isNumbers(it.value, 4)) return null;
      const [a = 0, b = 0, c = 0, d = 0] = it.value;
      return a >= 0 && a <= 1 && c >= 0 && c <= 1 ? { type: 'cubicBezier', value: [a, b, c, d] } : null;
    }
    case 'fontFamily': {
      if (!Array.isArray(it.value) || it.value.length > MOST_FAMILIES) return null;
      if (!it.value.every(name => typeof name === 'string')) return null;
      return parseFamilies(it.value.join(','));
    }
    case 'shadow': {
      if (!Array.isArray(it.value) || it.value.length === 0 || it.value.length > 8) return null;
      const layers = it.value.map(readLayer).filter(layer => layer !== null);
      return layers.length === it.value.length ? { type: 'shadow', value: layers } : null;
    }
    case 'gradient': {
      const shape = it.shape === 'linear' || it.shape === 'radial' ? it.shape : null;
      if (!shape || !isNumber(it.angle) || !Array.isArray(it.stops)) return null;
      if (it.stops.length < 2 || it.stops.length > 12) return null;
      const stops = it.stops.map(readStop).filter(stop => stop !== null);
      return stops.length === it.stops.length ? { type: 'gradient', shape, angle: it.angle, stops } : null;
    }
    case 'picture': {
      const tint = readTint(it.tint);
      return isId(it.asset) && tint !== undefined ? { type: 'picture', asset: it.asset, tint } : null;
    }
    case 'pattern': {
      const ink = readColour(it.ink);
      const tint = readTint(it.tint);
      return isId(it.drawing) && ink && tint !== undefined
        ? { type: 'pattern', drawing: it.drawing, ink, tint }
        : null;
    }
    case 'position': {
      const [x, y] = [readLength(it.x), readLength(it.y)];
      return x && y && isPlace(x) && isPlace(y) ? { type: 'position', x, y } : null;
    }
    case 'keyword':
      return typeof it.value === 'string' && it.value.length <= 40 && /^[a-z][a-z-]*$/.test(it.value)
        ? { type: 'keyword', value: it.value }
        : null;
    case 'token':
      return isId(it.token) ? { type: 'token', token: it.token } : null;
    case 'role':
      return isId(it.role) ? { type: 'role', role: it.role } : null;
    case 'textStyle':
      return isId(it.style) ? { type: 'textStyle', style: it.style } : null;
    case 'derived': {
      const d = it.derivation;
      if (!isObject(d) || !isId(d.op) || !Array.isArray(d.from) || !Array.isArray(d.by)) return null;
      if (d.from.length > MOST_INPUTS || d.by.length > MOST_INPUTS) return null;
      const from = d.from.filter(isId);
      const by = d.by.filter(isNumber);
      if (from.length !== d.from.length || by.length !== d.by.length) return null;
      return { type: 'derived', derivation: { op: d.op, from, by } };
    }
    default:
      return null;
  }
}
