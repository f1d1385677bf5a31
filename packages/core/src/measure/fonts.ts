import { familyIn } from '../guide/index.ts';
import type { Id, Site } from '../site/index.ts';
import { literalOf, NO_REBINDS } from '../tokens/index.ts';
import { type Family, hasItalic, hasWeight, weightsOf } from '../type/index.ts';

/** More families than this make a design restless (common practice, no source). */
export const MOST_FAMILIES = 3;

export interface FontBill {
  /** Families that cost bytes and that some text style or voice names. */
  families: readonly { family: Family; bytes: number; italic: boolean; weights: readonly number[] }[];
  bytes: number;
  tooMany: boolean;
}

/** A weight or slant that a text style asks for and its family does not have; browsers would fake it. */
export interface MissingCut {
  style: Id;
  family: string;
  missing: 'weight' | 'italic';
  /** The weight asked for, and what there is. */
  found: string;
  has: string;
}

interface Asked {
  style: Id;
  family: Family;
  weight: number | null;
  italic: boolean;
}

function askedOf(site: Site): Asked[] {
  const { token: tokens, textStyle } = site.kinds;
  return [...textStyle.values()].flatMap(({ id, styles }): Asked[] => {
    const end = (slot: string) => {
      const value = styles[slot];
      return value ? literalOf(tokens, NO_REBINDS, value) : null;
    };
    const names = end('/fontFamily');
    const family = names?.type === 'fontFamily' ? familyIn(site, names.value[0] ?? '') : undefined;
    if (!family) return [];
    const weight = end('/fontWeight');
    const slant = end('/fontStyle');
    return [
      {
        style: id,
        family,
        weight: weight?.type === 'number' ? weight.value : null,
        italic: slant?.type === 'keyword' && slant.value === 'italic',
      },
    ];
  });
}

export const missingCuts = (site: Site): MissingCut[] =>
  askedOf(site).flatMap(({ style, family, weight, italic }): MissingCut[] => {
    const found: MissingCut[] = [];
    if (weight !== null && !hasWeight(family, weight))
      found.push({
        style,
        family: family.name,
        missing: 'weight',
        found: String(weight),
        has: weightsOf(family)?.join(' to ') ?? '',
      });
    if (italic && !hasItalic(family))
      found.push({ style, family: family.name, missing: 'italic', found: 'italic', has: 'upright only' });
    return found;
  });

/** What the guide's families cost: those of its voices and text styles, with the cuts that are asked for. */
export function fontBill(site: Site): FontBill {
  const asked = askedOf(site);
  const named = new Set<Family>(asked.map(it => it.family));
  for (const { value } of site.kinds.token.values()) {
    const family = value.type === 'fontFamily' ? familyIn(site, value.value[0] ?? '') : undefined;
    if (family) named.add(family);
  }
  const families = [...named]
    .filter(it => it.files.length > 0)
    .map(family => {
      const of = asked.filter(it => it.family === family);
      const italic = of.some(it => it.italic) && family.files.some(it => it.cut === 'italic');
      const bytes = family.files
        .filter(it => it.cut === 'normal' || italic)
        .reduce((sum, it) => sum + it.bytes, 0);
      const weights = [...new Set(of.map(it => it.weight ?? 400))].sort((x, y) => x - y);
      return { family, bytes, italic, weights };
    });
  return {
    families,
    bytes: families.reduce((sum, it) => sum + it.bytes, 0),
    tooMany: families.length > MOST_FAMILIES,
  };
}
