import { type Color, colorName, parseColor } from '../color/index.ts';
import { uniqueName } from '../lists/index.ts';
import { splitTop } from '../values/index.ts';

export interface PastedSwatch {
  /** As it was written, or proposed from the colour. */
  name: string;
  /** Counted from 1. */
  line: number;
  color: Color;
  /** Index of an earlier or later swatch of the list that this one follows: `var(--hull)`. */
  follows: number | null;
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

/** Name and colour in one piece of text: `--hull: #2a3a5f`, `Hull #2a3a5f`, `#2a3a5f Hull`, `#2a3a5f`. */
function readPiece(text: string): { name: string; value: string } | null {
  const declared = /^([^:]+?)\s*[:=]\s*(.+)$/s.exec(text);
  if (declared?.[1] && declared[2]) {
    const value = declared[2].replace(/^["']|["']$/g, '').trim();
    return { name: declared[1].replace(/^["']|["']$/g, ''), value };
  }
  if (parseColor(text)) return { name: '', value: text };
  const words = splitTop(text, /\s/);
  const last = words.at(-1) ?? '';
  const first = words[0] ?? '';
  if (words.length > 1 && parseColor(last)) return { name: words.slice(0, -1).join(' '), value: last };
  if (words.length > 1 && parseColor(first)) return { name: words.slice(1).join(' '), value: first };
  return null;
}

/** The same text, line by line, without comments and without selectors and at-rules before a brace. */
const bare = (source: string): string =>
  source
    .replace(/\/\*[\s\S]*?\*\//g, found => found.replace(/[^\n]/g, ''))
    .replace(/^\s*\/\/.*$/gm, '')
    .replace(/[^{};\n]*\{/g, '')
    .replace(/\}/g, ';');

/**
 * Reads a list of colours as people have them at hand: one a line, with or without names, or the custom properties of a
 * style sheet. Where a line has no name one is proposed; equal names get a number.
 */
export function pasteSwatches(source: string): PastedSwatches {
  const pieces: { name: string; value: string; line: number; key: string }[] = [];
  const unread: { line: number; text: string }[] = [];
  for (const [i, row] of bare(source).split('\n').entries())
    for (const text of splitTop(row, /[;,]/)) {
      const piece = readPiece(text);
      if (piece) pieces.push({ ...piece, line: i + 1, key: piece.name.replace(/^--/, '') });
      else unread.push({ line: i + 1, text });
    }
  const resolve = (value: string, depth = 0): Color | null => {
    const to = /^var\(\s*--([\w-]+)\s*\)$/.exec(value)?.[1];
    if (to === undefined) return parseColor(value);
    const target = pieces.find(it => it.key === to);
    return target && depth < pieces.length ? resolve(target.value, depth + 1) : null;
  };
  const good = pieces.flatMap(piece => {
    const color = resolve(piece.value);
    if (!color) unread.push({ line: piece.line, text: `${piece.name}: ${piece.value}` });
    return color ? [{ ...piece, color }] : [];
  });
  const taken = new Set<string>();
  return {
    swatches: good.map(({ name, value, line, color }) => {
      const to = /^var\(\s*--([\w-]+)\s*\)$/.exec(value)?.[1];
      return {
        name: uniqueName(titled(name) || colorName(color), taken),
        line,
        color,
        follows: to === undefined ? null : good.findIndex(it => it.key === to),
      };
    }),
    unread: unread.sort((a, b) => a.line - b.line),
  };
}
