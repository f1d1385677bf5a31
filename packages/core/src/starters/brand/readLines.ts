import { convert, parseColor, printPainted } from '../../color/index.ts';
import { isNeutralColor, purposeInName } from '../../guide/index.ts';
import { tooLong } from '../../limits/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { ok, type Result } from '../../result/index.ts';
import type { Purpose } from '../../roles/index.ts';
import { type PastedSwatch, pasteSwatches } from '../../tokens/index.ts';
import { FAMILIES, familyNamed } from '../../type/index.ts';
import { splitTop } from '../../values/index.ts';
import {
  BRAND_LIMITS,
  type Brand,
  type BrandSwatch,
  isFamily,
  NO_BRAND,
  readBrandLength,
  readRatio,
} from './brand.ts';

/** What could not be read, and why. */
export interface UnreadLine {
  line: number;
  text: string;
  message: string;
}

export interface ReadBrand {
  brand: Brand;
  unread: readonly UnreadLine[];
}

type Said = Exclude<keyof Brand, 'swatches'>;

/** Words that lines begin with, and what they say. */
const WORDS: readonly (readonly [RegExp, Said])[] = [
  [
    /^(?:--)?(?:font-?(?:family)?[-\s]*)?(?:headings?|titles?|display)(?:[-\s]*font(?:[-\s]*family)?)?\b/i,
    'heading',
  ],
  [/^(?:--)?(?:font-?[-\s]*)?(?:code|mono(?:space)?)(?:[-\s]*font)?\b/i, 'code'],
  [/^(?:--)?(?:base|(?:text|font|body)[-\s]*size|size)\b/i, 'base'],
  [/^(?:--)?(?:ratio|scale|type[-\s]*scale)\b/i, 'ratio'],
  [/^(?:--)?(?:(?:border[-\s]*)?radius|corners?|rounding|rounded)\b/i, 'corners'],
  [/^(?:--)?(?:space|spacing|gap|grid|unit)\b/i, 'space'],
  [
    /^(?:--)?(?:font[-\s]*)?(?:text|body|copy|running[-\s]*text|paragraphs?)(?:[-\s]*font(?:[-\s]*family)?)?\b/i,
    'text',
  ],
  [/^(?:--)?fonts?(?:[-\s]*family)?\b/i, 'text'],
];

const bareFamily = (text: string): string =>
  (splitTop(text, /,/)[0] ?? '')
    .trim()
    .replace(/^["']|["']$/g, '')
    .trim();

/** The family as the program spells it, where it ships one of that name. */
const spelled = (name: string): string =>
  familyNamed(name)?.name ?? FAMILIES.find(it => it.name.toLowerCase() === name.toLowerCase())?.name ?? name;

/** What a colour is for: by its name, else neutral where it is nearly grey, else what no colour before it is for. */
function purposeFor(name: string, color: string, taken: ReadonlySet<Purpose>): Purpose {
  const named = purposeInName(name);
  if (named) return named;
  const parsed = parseColor(color);
  if (!parsed) return 'none';
  const [lightness, chroma] = convert(parsed, 'oklch').coords;
  if (isNeutralColor(lightness, chroma)) return 'neutral';
  return (['identity', 'accent'] as const).find(it => !taken.has(it)) ?? 'accent';
}

/** Gives swatches their purposes and names that differ. */
export function asBrandSwatches(list: readonly { name: string; color: string }[]): BrandSwatch[] {
  const taken = new Set<Purpose>(list.flatMap(it => purposeInName(it.name) ?? []));
  const names = namesTaken([]);
  return list.slice(0, BRAND_LIMITS.swatches).map(({ name, color }) => {
    const purpose = purposeFor(name, color, taken);
    taken.add(purpose);
    return { name: uniqueName(name.slice(0, BRAND_LIMITS.name), names), color, purpose };
  });
}

const isColorLine = (text: string): readonly PastedSwatch[] => {
  const read = pasteSwatches(text);
  return read.ok ? read.value.swatches : [];
};

/**
 * Reads what people know of their brand, in plain lines or as custom properties: colours with or without names, families
 * for headings and text, the size of text and its ratio, corners, spacing. `Primary #0f4c5c, headings Fraunces, base 17px`.
 */
export function readBrandLines(source: string): Result<ReadBrand> {
  const refused = tooLong(source, BRAND_LIMITS.typed);
  if (refused) return refused;
  const said: { -readonly [K in Said]?: Brand[K] } = {};
  const colors: { name: string; color: string }[] = [];
  const unread: UnreadLine[] = [];
  const plain = source.replace(/\/\*[\s\S]*?\*\//g, comment => comment.replace(/[^\n]/g, ' '));
  for (const [i, row] of plain.split('\n').entries()) {
    const pieces = piecesOf(row.replace(/^[^{}:]*\{/, '').replace(/[{}]/g, ''));
    for (const text of pieces) {
      const refuse = (message: string) => unread.push({ line: i + 1, text, message });
      const match = WORDS.flatMap(([word, what]) => {
        const found = word.exec(text);
        return found ? [{ what, rest: text.slice(found[0].length).replace(/^\s*[:=]?\s*/, '') }] : [];
      })[0];
      const swatches = isColorLine(text);
      if (swatches.length > 0 && !(match && saysLength(match.what, match.rest))) {
        colors.push(...swatches.map(it => ({ name: it.name, color: printPainted(it.color) })));
        continue;
      }
      if (!match || match.rest === '') {
        refuse('No colour, font or size was found in it.');
        continue;
      }
      const { what, rest } = match;
      if (what === 'ratio') {
        const ratio = readRatio(rest);
        if (ratio.ok) said.ratio = ratio.value;
        else refuse(ratio.problem.message);
      } else if (what === 'base' || what === 'corners' || what === 'space') {
        const length = readBrandLength(what, rest);
        if (length.ok) said[what] = length.value;
        else refuse(length.problem.message);
      } else {
        const family = bareFamily(rest);
        if (!isFamily(family)) refuse('No family was found in it.');
        else said[what] = spelled(family);
      }
    }
  }
  if (colors.length > BRAND_LIMITS.swatches)
    unread.push({
      line: 1,
      text: `${colors.length} colours`,
      message: `A brand takes ${BRAND_LIMITS.swatches} colours; the first ones are taken.`,
    });
  return ok({ brand: { ...NO_BRAND, ...said, swatches: asBrandSwatches(colors) }, unread });
}

const saysLength = (what: Said, rest: string): boolean =>
  (what === 'base' || what === 'corners' || what === 'space' || what === 'ratio') && /^[\d.]/.test(rest);

/** Parts of a line: at semicolons, and at commas unless what follows falls back for the family before. */
function piecesOf(row: string): string[] {
  return splitTop(row, /;/).flatMap(part => {
    const list: string[] = [];
    for (const piece of splitTop(part, /,/)
      .map(it => it.trim())
      .filter(Boolean))
      if (!fallsBack(piece, list.at(-1))) list.push(piece);
    return list;
  });
}

const GENERIC = /^(?:serif|sans-serif|monospace|cursive|system-ui|ui-[a-z-]+|-apple-system)$/;

/** Whether a piece is a further family of the one before, as style sheets have it. */
function fallsBack(piece: string, before: string | undefined): boolean {
  if (before === undefined || !WORDS.some(([word]) => word.test(before))) return false;
  if (GENERIC.test(piece) || /^(["']).*\1$/.test(piece)) return true;
  return before.includes(':') && /^[A-Z]/.test(piece) && !/[#:\d(]/.test(piece);
}
