import { printPainted } from '../../color/index.ts';
import { incomingTokens, readTokens } from '../../incoming/index.ts';
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

/** Reads a brand from a file: a token file of the Design Tokens Format, a style sheet, or plain lines. */
export function readBrandFile(text: string): Result<ReadBrand> {
  if (!/^\s*\{\s*["}]/.test(text)) return readBrandLines(text.slice(0, BRAND_LIMITS.typed));
  const read = readTokens([{ name: '', text }]);
  if (!read.ok) return read;
  const brand = brandOf([...incomingTokens(read.value).values()]);
  return ok({
    brand,
    unread: read.value.findings
      .filter(it => it.kind === 'unread')
      .slice(0, 20)
      .map(({ name, message, place }) => ({ line: place?.line ?? 0, text: name, message })),
  });
}
