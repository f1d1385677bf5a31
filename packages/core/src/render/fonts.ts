import type { Site } from '../site/index.ts';
import { type Cut, type Family, familyNamed, fontFace, fontFile } from '../type/index.ts';

export interface UsedFont {
  family: Family;
  cut: Cut;
  file: string;
}

/** Font files that a style sheet asks for: families named in it, slanted only where something slants. */
export function fontsIn(css: string, slanted: boolean): UsedFont[] {
  const names = new Set([...css.matchAll(/"([^"]+)"/g)].map(match => match[1] ?? ''));
  const italic = slanted || css.includes('font-style:italic');
  return [...names].flatMap(name => {
    const family = familyNamed(name);
    if (!family) return [];
    const cuts: Cut[] = italic && family.italic ? ['normal', 'italic'] : ['normal'];
    return cuts.flatMap(cut => {
      const file = fontFile(family, cut);
      return file ? [{ family, cut, file }] : [];
    });
  });
}

export const printFontFaces = (fonts: readonly UsedFont[], base: string): string =>
  fonts.map(({ family, cut }) => fontFace(family, cut, base)).join('\n');

/** Families of the guide's voices. */
export const voiceFamilies = (site: Site): Family[] =>
  [...site.kinds.token.values()].flatMap(({ value }) =>
    value.type === 'fontFamily' ? value.value.flatMap(name => familyNamed(name) ?? []) : [],
  );
