import type { Id } from '../site/records.ts';
import type { Site } from '../site/site.ts';

const known = new WeakMap<Site['kinds']['scheme'], { tokens: unknown; ids: ReadonlySet<Id> }>();

/**
 * Swatches that follow others and are there since a scheme was worked out: nobody chose them. They are bound to roles that
 * were not set by hand since.
 */
export function madeForSchemes({ kinds: { scheme: schemes, token: tokens } }: Site): ReadonlySet<Id> {
  const found = known.get(schemes);
  if (found?.tokens === tokens) return found.ids;
  const ids = new Set<Id>();
  for (const { roles, solved = {} } of schemes.values())
    for (const [role, value] of Object.entries(roles))
      if (
        value.type === 'token' &&
        Object.hasOwn(solved, role) &&
        tokens.get(value.token)?.value.type === 'derived'
      )
        ids.add(value.token);
  known.set(schemes, { tokens, ids });
  return ids;
}
