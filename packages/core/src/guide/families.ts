import type { FontRecord } from '../site/records.ts';
import type { Site } from '../site/site.ts';
import { FAMILIES, type Family, familyNamed, type Generic } from '../type/index.ts';

const GENERIC: Record<FontRecord['category'], Generic> = {
  sans: 'sans-serif',
  display: 'sans-serif',
  serif: 'serif',
  slab: 'serif',
  mono: 'monospace',
  hand: 'cursive',
};

const cache = new WeakMap<Site['kinds']['font'], readonly Family[]>();

/** Families made of a site's own font files: those of one name belong together. */
export function ownFamilies({ kinds: { font } }: Pick<Site, 'kinds'>): readonly Family[] {
  let found = cache.get(font);
  if (!found) {
    const byName = new Map<string, FontRecord[]>();
    for (const it of font.values()) byName.set(it.family, [...(byName.get(it.family) ?? []), it]);
    found = [...byName].map(([name, records]): Family => {
      const [first] = records.filter(it => it.cut === 'normal').concat(records);
      const category = first?.category ?? 'sans';
      return {
        name,
        kind: category,
        generic: GENERIC[category],
        licence: 'uploaded',
        metrics: first?.metrics ?? null,
        files: records.map(({ cut, file, format, bytes, weightFrom, weightTo }) => ({
          cut,
          file,
          format,
          bytes,
          weights: [weightFrom, weightTo],
          own: true,
        })),
      };
    });
    cache.set(font, found);
  }
  return found;
}

/** Every family that a site's voices can speak with: its own first, then those shipped with the program. */
export const familiesOf = (site: Pick<Site, 'kinds'>): readonly Family[] => [
  ...ownFamilies(site),
  ...FAMILIES,
];

export const familyIn = (site: Pick<Site, 'kinds'>, name: string): Family | undefined =>
  ownFamilies(site).find(it => it.name === name) ?? familyNamed(name);
