import { roleValue } from '../cascade/index.ts';
import type { Id, Site } from '../site/index.ts';
import { closure } from '../tokens/index.ts';
import { type RoleContrast, schemeFailures } from './contrast.ts';

/** Roles that cannot be read, once for each scheme and role, by what they are shown beside. */
export interface Failures {
  all: readonly RoleContrast[];
  ofScheme(scheme: Id): readonly RoleContrast[];
  /** Those that a token has a part in: as the colour, as the ground, or as what one of them follows. */
  ofToken(token: Id): readonly RoleContrast[];
}

const NONE: readonly RoleContrast[] = [];

/** The worst pair of each role in each scheme: a role that fails on three grounds has one cure. */
function worstOfEach(pairs: readonly RoleContrast[]): RoleContrast[] {
  const worst = new Map<string, RoleContrast>();
  for (const it of pairs) {
    const key = `${it.scheme} ${it.role}`;
    const known = worst.get(key);
    if (!known || it.ratio / it.wanted < known.ratio / known.wanted) worst.set(key, it);
  }
  return [...worst.values()];
}

const known = new WeakMap<Site['kinds']['token'], { inputs: readonly unknown[]; failures: Failures }>();

/** All that cannot be read on a site, worked out once for what it depends on. */
export function failuresOf(site: Site): Failures {
  const { token: tokens, scheme, role, settings } = site.kinds;
  const inputs = [scheme, role, settings];
  const found = known.get(tokens);
  if (found?.inputs.every((it, i) => it === inputs[i])) return found.failures;
  const pairs = schemeFailures(site);
  const all = worstOfEach(pairs);
  const boundTo = (at: Id, name: string): Id | null => {
    const bound = roleValue(site, at, name)?.value;
    return bound?.type === 'token' ? bound.token : null;
  };
  const named = pairs.map(it => ({ it, tokens: [boundTo(it.scheme, it.role), boundTo(it.scheme, it.on)] }));
  const byToken = new Map<Id, readonly RoleContrast[]>();
  const failures: Failures = {
    all,
    ofScheme: id => (all.length === 0 ? NONE : all.filter(it => it.scheme === id)),
    ofToken(id) {
      if (named.length === 0) return NONE;
      let list = byToken.get(id);
      if (!list) {
        const reached = closure(tokens, [id]);
        list = worstOfEach(
          named
            .filter(entry => entry.tokens.some(it => it !== null && reached.has(it)))
            .map(entry => entry.it),
        );
        byToken.set(id, list);
      }
      return list;
    },
  };
  known.set(tokens, { inputs, failures });
  return failures;
}
