import { type Color, colorName } from '../color/index.ts';
import { type ColorSyntax, colorOf, type Lookup, parseSyntax } from '../color/parse/index.ts';
import { innermostFirst } from '../graph/index.ts';
import { LIMITS, tooLong } from '../limits/index.ts';
import { uniqueName } from '../lists/index.ts';
import { ok, type Result } from '../result/index.ts';
import { splitTop } from '../values/index.ts';
import { derivationOf } from './colorDerivation.ts';

export interface PastedSwatch {
  /** As it was written, or proposed from the colour. */
  name: string;
  /** Counted from 1. */
  line: number;
  color: Color;
  /** Index of an earlier or later swatch of the list that this one follows: `var(--hull)`. */
  follows: number | null;
  /** How it is derived from others of the list, by their indexes: `color-mix(in oklch, var(--hull) 80%, white)`. */
  derived: { op: string; from: readonly number[]; by: readonly number[] } | null;
}

export interface PastedSwatches {
  swatches: readonly PastedSwatch[];
  /** Lines in which no colour was found. */
  unread: readonly { line: number; text: string }[];
}

const titled = (name: string): string => {
  const words = name
    .replace(/^(?:--|\$|@)/, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 80);
};

const unquoted = (text: string): string => text.replace(/^["']|["']$/g, '');

/** Whether something is written as a colour, whatever it refers to. */
const isColor = (text: string): boolean => {
  const syntax = parseSyntax(text);
  return syntax !== null && (syntax.type === 'reference' || colorOf(syntax, () => null) !== null);
};

/** Name and colour in one piece of text: `--hull: #2a3a5f`, `Hull #2a3a5f`, `#2a3a5f Hull`, `#2a3a5f`. */
function readPiece(text: string): { name: string; value: string } | null {
  const sign = text.slice(1).search(/[:=]/) + 1;
  if (sign > 0 && text.slice(sign + 1).trim() !== '')
    return {
      name: unquoted(text.slice(0, sign).trim()),
      value: unquoted(text.slice(sign + 1).trim()).trim(),
    };
  if (isColor(text)) return { name: '', value: text };
  const words = splitTop(text, /\s/);
  const last = words.at(-1) ?? '';
  const first = words[0] ?? '';
  if (words.length > 1 && isColor(last)) return { name: words.slice(0, -1).join(' '), value: last };
  if (words.length > 1 && isColor(first)) return { name: words.slice(1).join(' '), value: first };
  return null;
}

/** The same text, line by line, without comments and without selectors and at-rules before a brace. */
function bare(source: string): string {
  let text = '';
  /** What has come since the last sign that ends a piece. */
  let piece = '';
  let lineIsBlank = true;
  for (let i = 0; i < source.length; i++) {
    const c = source.charAt(i);
    if (c === '/' && source[i + 1] === '*') {
      const end = source.indexOf('*/', i + 2);
      const comment = source.slice(i, end < 0 ? source.length : end + 2);
      for (const inner of comment) if (inner === '\n') piece += inner;
      i += comment.length - 1;
    } else if (c === '/' && source[i + 1] === '/' && lineIsBlank) {
      const end = source.indexOf('\n', i);
      i = (end < 0 ? source.length : end) - 1;
    } else if (c === '{') {
      // What precedes a brace on its line is a selector.
      piece = '\n'.repeat(piece.split('\n').length - 1);
      lineIsBlank = false;
    } else if (c === '\n' || c === ';' || c === '}') {
      text += piece + (c === '}' ? ';' : c);
      piece = '';
      lineIsBlank = c === '\n';
    } else {
      piece += c;
      if (c !== ' ' && c !== '\t' && c !== '\r') lineIsBlank = false;
    }
  }
  return text + piece;
}

type Property = ColorSyntax & { type: 'reference' };

/** Custom properties that a written colour refers to, each once. */
function referencesIn(it: ColorSyntax, found: Property[] = []): Property[] {
  switch (it.type) {
    case 'reference':
      if (it.kind === 'property') found.push(it);
      if (it.fallback) referencesIn(it.fallback, found);
      break;
    case 'mix':
      for (const part of it.parts) referencesIn(part.color, found);
      break;
    case 'lightDark':
      referencesIn(it.light, found);
      break;
    case 'channels':
      if (it.from) referencesIn(it.from, found);
      break;
    case 'color':
      break;
  }
  return found;
}

/**
 * Reads a list of colours as people have them at hand: one a line, with or without names, or the custom properties of a
 * style sheet. Where a line has no name one is proposed; equal names get a number. Each line is looked at once, however
 * the colours follow one another.
 */
export function pasteSwatches(source: string): Result<PastedSwatches> {
  const refused = tooLong(source, LIMITS.typed.swatches);
  if (refused) return refused;
  const pieces: { name: string; value: string; line: number; key: string }[] = [];
  const unread: { line: number; text: string }[] = [];
  for (const [i, row] of bare(source).split('\n').entries())
    for (const text of splitTop(row, /[;,]/)) {
      const piece = text.length <= LIMITS.typed.value ? readPiece(text) : null;
      if (piece) pieces.push({ ...piece, line: i + 1, key: piece.name.replace(/^--/, '') });
      else unread.push({ line: i + 1, text });
    }
  const byKey = new Map<string, string>();
  for (const { key, value } of pieces) if (!byKey.has(key)) byKey.set(key, value);
  const written = new Map<string, ColorSyntax | null>();
  const syntaxOf = (value: string): ColorSyntax | null => {
    let syntax = written.get(value);
    if (syntax === undefined) {
      syntax = parseSyntax(value);
      written.set(value, syntax);
    }
    return syntax;
  };
  const namedBy = (key: string): string[] => {
    const syntax = syntaxOf(byKey.get(key) ?? '');
    return syntax ? referencesIn(syntax).map(({ name }) => name) : [];
  };
  const colors = new Map<string, Color | null>();
  const lookup: Lookup = ({ kind, name }) => (kind === 'property' ? (colors.get(name) ?? null) : null);
  const resolve = (value: string): Color | null => {
    const syntax = syntaxOf(value);
    if (!syntax) return null;
    // Those that others name come first; what leads back to itself leads nowhere.
    for (const start of referencesIn(syntax))
      for (const key of innermostFirst(start.name, namedBy, it => colors.has(it))) {
        const inner = syntaxOf(byKey.get(key) ?? '');
        colors.set(key, inner && colorOf(inner, lookup));
      }
    return colorOf(syntax, lookup);
  };
  const good = pieces.flatMap(piece => {
    const color = resolve(piece.value);
    if (!color) unread.push({ line: piece.line, text: `${piece.name}: ${piece.value}` });
    return color ? [{ ...piece, color }] : [];
  });
  const places = new Map<string, number>();
  for (const [i, { key }] of good.entries()) if (!places.has(key)) places.set(key, i);
  const taken = new Set<string>();
  return ok({
    swatches: good.map(({ name, value, line, color }) => {
      const syntax = syntaxOf(value);
      const derived = syntax && derivationOf(syntax, lookup);
      const from = derived?.from.flatMap(it => places.get(it.name) ?? []) ?? [];
      return {
        name: uniqueName(titled(name) || colorName(color), taken),
        line,
        color,
        follows: syntax?.type === 'reference' ? (places.get(syntax.name) ?? null) : null,
        derived: derived && from.length === derived.from.length ? { ...derived, from } : null,
      };
    }),
    unread: unread.sort((a, b) => a.line - b.line),
  });
}
