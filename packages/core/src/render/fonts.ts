import { familyIn } from '../guide/index.ts';
import type { Site } from '../site/index.ts';
import { type Family, type FontFile, printFallbackFaces, printFontFace } from '../type/index.ts';

export interface UsedFont {
  family: Family;
  file: FontFile;
}

/** Font files that a style sheet asks for: families named in it, slanted only where something slants. */
export function fontsIn(site: Pick<Site, 'kinds'>, css: string, slanted: boolean): UsedFont[] {
  const names = new Set([...css.matchAll(/"([^"]*)"/g)].map(match => match[1] ?? ''));
  const italic = slanted || css.includes('font-style:italic');
  return [...names].flatMap(name => {
    const family = familyIn(site, name);
    return (family?.files ?? []).flatMap(file =>
      family && (file.cut === 'normal' || italic) ? [{ family, file }] : [],
    );
  });
}

/** Faces of the fonts, and of what stands in for each family while it loads. */
export function printFontFaces(fonts: readonly UsedFont[], address: (file: FontFile) => string): string {
  const families = new Set(fonts.map(it => it.family));
  return [
    ...fonts.map(({ family, file }) => printFontFace(family, file, address)),
    ...[...families].map(printFallbackFaces),
  ]
    .filter(Boolean)
    .join('\n');
}

/** Families of the guide's voices. */
export const voiceFamilies = (site: Site): Family[] =>
  [...site.kinds.token.values()].flatMap(({ value }) =>
    value.type === 'fontFamily' ? value.value.flatMap(name => familyIn(site, name) ?? []) : [],
  );
