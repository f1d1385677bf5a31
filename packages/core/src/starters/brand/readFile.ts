import { printPainted } from '../../color/index.ts';
import { type IncomingItem, incomingTokens, readTokens } from '../../incoming/index.ts';
import { ok, type Result } from '../../result/index.ts';
import type { TokenRecord } from '../../site/index.ts';
import { literalOf, NO_REBINDS } from '../../tokens/index.ts';
import { printLength, type Value } from '../../values/index.ts';
import { BRAND_LIMITS, type Brand, NO_BRAND, readBrandLength } from './brand.ts';
import { asBrandSwatches, type ReadBrand, readBrandLines } from './readLines.ts';

const named = (
  tokens: readonly TokenRecord[],
  type: TokenRecord['type'],
  words: RegExp,
): TokenRecord | undefined => tokens.find(it => it.type === type && words.test(`${it.group} ${it.name}`));

/** What a brand can be read of in a token file: its colours, families by their names, and a few sizes. */
function brandOf(tokens: readonly TokenRecord[]): Brand {
  const all = new Map(tokens.map(it => [it.id, it]));
  const end = (it: TokenRecord | undefined): Value | null =>
    (it && literalOf(all, NO_REBINDS, it.value)) ?? null;
  const colors = tokens.flatMap(it => {
    // An alias is a colour that is there already.
    const value = it.type === 'color' && it.value.type !== 'token' ? end(it) : null;
    return value?.type === 'color' ? [{ name: it.name, color: printPainted(value.value) }] : [];
  });
  const family = (words: RegExp): string | null => {
    const value = end(named(tokens, 'fontFamily', words));
    return value?.type === 'fontFamily' ? (value.value[0] ?? null) : null;
  };
  const length = (what: 'base' | 'corners' | 'space', words: RegExp): string | null => {
    const value = end(named(tokens, 'dimension', words));
    if (value?.type !== 'dimension') return null;
    const read = readBrandLength(what, printLength(value.value));
    return read.ok ? read.value : null;
  };
  const heading = family(/head|title|display/i);
  const ratio = end(named(tokens, 'number', /ratio/i));
  return {
    ...NO_BRAND,
    swatches: asBrandSwatches(colors),
    heading,
    text: family(/text|body|copy|base|sans|serif/i) ?? heading,
    code: family(/code|mono/i),
    base: length('base', /(?:font|text|body).*(?:base|body|medium|md)\b|\bbase\b/i),
    corners: length('corners', /radius|corner/i),
    space: length('space', /space|spacing/i),
    ratio: ratio?.type === 'number' && ratio.value >= 1.02 && ratio.value <= 2 ? ratio.value : null,
  };
}

/** Colours that a site uses most are what people take for its brand. */
const MOST_COLORS = 8;

/** What a site’s declarations say of its brand: the colours, families and sizes that they use most. */
function brandInUse(items: readonly IncomingItem[]): Brand {
  const used = items
    .filter(it => it.uses !== null)
    .sort((a, b) => (b.uses?.count ?? 0) - (a.uses?.count ?? 0))
    .flatMap(({ record }) => (record.kind === 'token' ? [record] : []));
  const of = (group: string): Value | undefined => used.find(it => it.group === group)?.value;
  const colors = used.flatMap(({ name, value }) =>
    value.type === 'color' && value.value.alpha === 1 ? [{ name, color: printPainted(value.value) }] : [],
  );
  const length = (what: 'base' | 'corners' | 'space', group: string): string | null => {
    const value = of(group);
    const read = value?.type === 'dimension' ? readBrandLength(what, printLength(value.value)) : null;
    return read?.ok ? read.value : null;
  };
  const family = of('Voices');
  return {
    ...NO_BRAND,
    swatches: asBrandSwatches(colors.slice(0, MOST_COLORS)),
    text: family?.type === 'fontFamily' ? (family.value[0] ?? null) : null,
    base: length('base', 'Text sizes'),
    corners: length('corners', 'Corners'),
    space: length('space', 'Spaces'),
  };
}

/** A style sheet or a page with rules, rather than lines or a block of custom properties. */
const isSheet = (text: string): boolean => /<\/style|<!doctype|<html/i.test(text) || /\{[^{}]*\}/.test(text);

/** Reads a brand from a file: a token file of any spelling, a style sheet or page that is in use, or plain lines. */
export function readBrandFile(text: string): Result<ReadBrand> {
  const isTokens = /^\s*\{\s*["}]/.test(text);
  if (!isTokens && !isSheet(text)) return readBrandLines(text.slice(0, BRAND_LIMITS.typed));
  const read = readTokens([{ name: '', text }]);
  if (!read.ok) return read;
  const { items, findings } = read.value;
  if (!isTokens && items.every(it => it.uses === null))
    return readBrandLines(text.slice(0, BRAND_LIMITS.typed));
  if (!isTokens) return ok({ brand: brandInUse(items), unread: [] });
  return ok({
    brand: brandOf([...incomingTokens(read.value).values()]),
    unread: findings
      .filter(it => it.kind === 'unread')
      .slice(0, 20)
      .map(({ name, message, place }) => ({ line: place?.line ?? 0, text: name, message })),
  });
}
