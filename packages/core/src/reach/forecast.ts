import { newFailures, type RoleContrast } from '../measure/contrast.ts';
import { ok, type Result } from '../result/index.ts';
import { applyChange, type Edit, type Id, type Site, targetOf } from '../site/index.ts';
import { reachOfAny } from './reach.ts';

/** What a change will reach, told at once; what only inherits a value from what uses it does not count. */
export interface Forecast {
  /** Things on pages that use what is changed, each once. */
  uses: number;
  pages: number;
  /** Texts and signs of schemes that could be read well enough before, and could not after. */
  failures: readonly RoleContrast[];
}

/**
 * What some edits will reach, from the index of reach and the schemes alone: no page is looked at, so that it is there while
 * a colour is dragged, however large the site.
 */
export function forecast(site: Site, edits: readonly Edit[]): Result<Forecast> {
  const applied = applyChange(site, { edits });
  if (!applied.ok) return applied;
  const { uses, pages } = reachOfAny(site, new Set<Id>(edits.map(targetOf)));
  return ok({ uses, pages: pages.length, failures: newFailures(site, applied.value.site) });
}
