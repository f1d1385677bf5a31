import { rolesOf } from '../guide/index.ts';
import { uniqueName } from '../lists/index.ts';
import { byOrder, type Id, type SchemeRecord, type Site, type TextStyleRecord } from '../site/index.ts';
import { slug, tokenPath } from '../tokens/index.ts';

/** `mainFill` → `main-fill`. */
const kebab = (text: string): string => slug(text.replace(/([a-z0-9])([A-Z])/g, '$1 $2'));

/** Steps of a token’s name, its type first: `color`, `brand`, `hull`. */
export const stepsOf = (site: Site, id: Id): string[] => tokenPath(site.kinds.token, id).split('.');

/** Custom property of a token: `--color-brand-hull`. */
export const propertyOfToken = (site: Site, id: Id): string => `--${stepsOf(site, id).join('-')}`;

function distinct<T extends { id: Id; name: string }>(records: Iterable<T>): ReadonlyMap<Id, string> {
  const taken = new Set<string>();
  return new Map([...records].map(it => [it.id, uniqueName(slug(it.name), taken).replace(/\s+/g, '-')]));
}

export const schemesOf = (site: Site): SchemeRecord[] => [...site.kinds.scheme.values()].sort(byOrder);
export const textStylesOf = (site: Site): TextStyleRecord[] =>
  [...site.kinds.textStyle.values()].sort(byOrder);

/** A name for each scheme, text style and role, as it stands in files. */
export const schemeNames = (site: Site): ReadonlyMap<Id, string> => distinct(schemesOf(site));
export const textStyleNames = (site: Site): ReadonlyMap<Id, string> => distinct(textStylesOf(site));
export function roleNames(site: Site): ReadonlyMap<string, string> {
  const taken = new Set<string>();
  return new Map(rolesOf(site).map(it => [it.name, uniqueName(kebab(it.name), taken).replace(/\s+/g, '-')]));
}
