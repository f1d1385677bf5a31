import { type SchemeRecord, type Site, settingsOf } from '../site/index.ts';

/** Light schemes that have a dark counterpart, each with it; none where the site has no dark version. */
export function darkPairs(site: Site): [light: SchemeRecord, dark: SchemeRecord][] {
  if (!settingsOf(site).darkVersion) return [];
  return [...site.kinds.scheme.values()].flatMap((light): [SchemeRecord, SchemeRecord][] => {
    const dark = light.face === 'light' ? site.kinds.scheme.get(light.counterpart ?? '') : undefined;
    return dark?.face === 'dark' ? [[light, dark]] : [];
  });
}

const known = new WeakMap<Site, Site | null>();

/** A site as visitors see it who ask for a dark page; null where they see what all others do. */
export function darkened(site: Site): Site | null {
  const there = known.get(site);
  if (there !== undefined) return there;
  const pairs = darkPairs(site);
  const scheme = new Map(site.kinds.scheme);
  for (const [light, dark] of pairs) scheme.set(light.id, { ...light, face: dark.face, roles: dark.roles });
  const made = pairs.length === 0 ? null : { ...site, kinds: { ...site.kinds, scheme } };
  known.set(site, made);
  return made;
}
