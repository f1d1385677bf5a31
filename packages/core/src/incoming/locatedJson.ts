import { endOfString, LIMITS, mayHoldUnstorable, scanJson, storable } from '../limits/index.ts';
import { fail, ok, type Result } from '../result/index.ts';

/** A place in a text, counted from 1. */
export interface LineColumn {
  line: number;
  column: number;
}

/** Finds lines by offsets, in steps that grow with their number's logarithm. */
export class Lines {
  private starts: number[] | null = null;

  constructor(private readonly text: string) {}

  at(offset: number): LineColumn {
    this.starts ??= this.find();
    let low = 0;
    let high = this.starts.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((this.starts[middle] ?? 0) <= offset) low = middle;
      else high = middle - 1;
    }
    return { line: low + 1, column: offset - (this.starts[low] ?? 0) + 1 };
  }

  private find(): number[] {
    const starts = [0];
    for (let at = this.text.indexOf('\n'); at >= 0; at = this.text.indexOf('\n', at + 1)) starts.push(at + 1);
    return starts;
  }
}

/** JSON with the place of every object in it. */
export interface LocatedJson {
  value: unknown;
  /** Where an object begins; what is no part of the text has no place. */
  placeOf(it: object): LineColumn | null;
}

const isWhite = (c: number) => c === 0x20 || c === 0x0a || c === 0x0d || c === 0x09;
const isObject = (it: unknown): it is object => typeof it === 'object' && it !== null;

/** Where the objects of a text begin, in the order of the text. */
function openings(text: string): number[] {
  const found: number[] = [];
  let brace = text.indexOf('{');
  let quote = text.indexOf('"');
  while (brace >= 0) {
    if (quote < 0 || brace < quote) {
      found.push(brace);
      brace = text.indexOf('{', brace + 1);
      continue;
    }
    const end = endOfString(text, quote);
    quote = text.indexOf('"', end + 1);
    if (brace < end) brace = text.indexOf('{', end + 1);
  }
  return found;
}

/** Offsets by laying the objects beside their openings; null where the order of keys is not that of the text. */
function offsetsInOrder(text: string, value: unknown): Map<object, number> | null {
  const starts = openings(text);
  const offsets = new Map<object, number>();
  let index = 0;
  let isOrdered = true;
  const visit = (it: object) => {
    if (Array.isArray(it)) {
      for (const inner of it) if (isObject(inner)) visit(inner);
      return;
    }
    offsets.set(it, starts[index++] ?? 0);
    let isFirst = true;
    for (const key in it) {
      // Keys that are whole numbers come first, wherever they stand.
      if (isFirst && /^\d/.test(key)) isOrdered = false;
      isFirst = false;
      const inner: unknown = Reflect.get(it, key);
      if (isObject(inner)) visit(inner);
    }
  };
  if (isObject(value)) visit(value);
  // A key that stands twice leaves an opening over.
  return isOrdered && index === starts.length ? offsets : null;
}

/** Offsets by one walk over the text beside the value, for which keys may stand in any order, and twice. */
function offsetsByWalk(text: string, value: unknown): Map<object, number> {
  const offsets = new Map<object, number>();
  let at = 0;
  const space = () => {
    while (isWhite(text.charCodeAt(at))) at++;
  };
  const string = (): string => {
    const from = at;
    at = endOfString(text, from) + 1;
    const inner = text.slice(from + 1, at - 1);
    return inner.includes('\\') ? String(JSON.parse(text.slice(from, at))) : inner;
  };
  /** Depth is bounded before: the text has been counted. */
  const walk = (it: unknown): void => {
    space();
    const open = text.charCodeAt(at);
    if (open === 0x22) {
      string();
      return;
    }
    if (open !== 0x7b && open !== 0x5b) {
      while (at < text.length && !/[,\]}\s]/.test(text.charAt(at))) at++;
      return;
    }
    if (isObject(it) && open === 0x7b) offsets.set(it, at);
    at++;
    for (let index = 0; ; index++) {
      space();
      if (text.charCodeAt(at) === 0x2c) {
        at++;
        space();
      }
      const c = text.charCodeAt(at);
      if (c === 0x7d || c === 0x5d) {
        at++;
        return;
      }
      let key = String(index);
      if (open === 0x7b) {
        key = string();
        space();
        at++;
      }
      walk(isObject(it) && Object.hasOwn(it, key) ? Reflect.get(it, key) : undefined);
    }
  };
  walk(value);
  return offsets;
}

/** Replaces, where they stand, the texts and names that could not be stored. Depth is bounded before. */
function makeStorable(value: unknown): void {
  if (!isObject(value)) return;
  for (const [key, inner] of Object.entries(value)) {
    const name = storable(key);
    if (name !== key) Reflect.deleteProperty(value, key);
    Reflect.set(value, name, typeof inner === 'string' ? storable(inner) : inner);
    makeStorable(inner);
  }
}

/**
 * Reads JSON of a bounded size and depth. A byte order mark is passed over. Where things stand is worked out once, and only
 * if somebody asks.
 */
export function parseLocatedJson(source: string): Result<LocatedJson> {
  const text = source.startsWith('\uFEFF') ? source.slice(1) : source;
  const counted = scanJson(text, LIMITS.json);
  if (!counted.ok) return counted;
  const lines = new Lines(text);
  try {
    const value: unknown = JSON.parse(text);
    if (mayHoldUnstorable(text)) makeStorable(value);
    let offsets: Map<object, number> | null = null;
    return ok({
      value,
      placeOf(it) {
        offsets ??= offsetsInOrder(text, value) ?? offsetsByWalk(text, value);
        const offset = offsets.get(it);
        return offset === undefined ? null : lines.at(offset);
      },
    });
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    const offset = Number(/position (\d+)/.exec(error.message)?.[1] ?? text.length);
    const at = lines.at(offset);
    return fail({
      code: 'bad-json',
      message: `This is not JSON: line ${at.line}, column ${at.column}.`,
      found: text.slice(Math.max(0, offset - 10), offset + 10),
    });
  }
}
