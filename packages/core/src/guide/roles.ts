import { ROLES, type Role, read, roleNamed } from '../roles/index.ts';
import { byOrder } from '../site/order.ts';
import type { RoleRecord } from '../site/records.ts';
import type { Site } from '../site/site.ts';

type OwnRoles = ReadonlyMap<string, RoleRecord>;
/** What a role of one’s own stands on has to let it be read. */
const asRole = ({ id, name, fallback, on }: RoleRecord): Role => ({
  name: id,
  label: name,
  fallback,
  on: on === null ? [] : read(on),
  takes: roleNamed(fallback)?.takes ?? [],
});

const all = new WeakMap<OwnRoles, readonly Role[]>();
/** The roles of every scheme, then those of the guide's own in their order. */
export function rolesOf({ kinds: { role } }: Site): readonly Role[] {
  let found = all.get(role);
  if (!found) {
    found = [...ROLES, ...[...role.values()].sort(byOrder).map(asRole)];
    all.set(role, found);
  }
  return found;
}

export const roleIn = ({ kinds: { role } }: Site, name: string): Role | undefined => {
  const own = roleNamed(name) ? undefined : role.get(name);
  return own ? asRole(own) : roleNamed(name);
};

/** The roles to look under, the asked one first, until one is bound. */
export function* roleChain(site: Site, name: string): Generator<string> {
  const passed = new Set<string>();
  let at: string | null = name;
  while (at !== null && !passed.has(at)) {
    passed.add(at);
    yield at;
    at = roleIn(site, at)?.fallback ?? null;
  }
}
