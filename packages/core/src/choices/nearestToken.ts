import { type PropertyName, propertyOf, tokenTypesOf } from '../properties/index.ts';
import type { Id, Site } from '../site/index.ts';
import type { Value } from '../values/index.ts';
import { nearestChoices } from './tokenChoices.ts';

/** The token whose value is nearest to one in a property, of those that are for its like; null where no token is. */
export function nearestToken(site: Site, property: PropertyName, value: Value): Id | null {
  const row = propertyOf(property);
  const [near] = nearestChoices(site, { types: tokenTypesOf(row), use: row.use }, value);
  return near?.token.id ?? null;
}
