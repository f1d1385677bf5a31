import { madeGroup, roleIn } from '../../guide/index.ts';
import { type SchemeWish, type SolvedScheme, solveScheme } from '../../guide/solve/solveScheme.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { mentionsOf } from '../../reach/mentions.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  byOrder,
  type Edit,
  editAt,
  type Id,
  keysBetween,
  newId,
  putRecord,
  type RoleRecord,
  removeRecord,
  type SchemeRecord,
  SETTINGS,
  type Site,
} from '../../site/index.ts';
import { keyAtEnd, lastKey, placeBehind, reorder } from '../order/order.ts';
import { copiedRules } from '../rules/placedRules.ts';

/** Schemes as they are ordered. */
export const schemesInOrder = (site: Site): SchemeRecord[] => [...site.kinds.scheme.values()].sort(byOrder);

export interface MadeScheme {
  edits: Edit[];
  id: Id;
  /** Swatches that had to be made for it. */
  made: SolvedScheme['made'];
}

/** A new scheme, worked out from the palette. */
export function generateScheme(site: Site, name: string, wish: SchemeWish): Result<MadeScheme> {
  const { token: tokens } = site.kinds;
  for (const id of [wish.surface, ...(wish.accent === undefined ? [] : [wish.accent])])
    if (tokens.get(id)?.type !== 'color')
      return fail({ code: 'gone', message: 'That swatch is no longer there.', record: id });
  const label = uniqueName(name.trim() || 'Scheme', namesTaken(site.kinds.scheme.values()));
  const { face, roles, made } = solveScheme(tokens, wish, madeGroup(label));
  const orders = keysBetween(lastKey(tokens.values()), null, made.length);
  const id = newId('c');
  const record: SchemeRecord = {
    id,
    kind: 'scheme',
    name: label,
    face,
    order: keyAtEnd(site.kinds.scheme.values()),
    roles,
  };
  const tokensMade = made.map(({ token }, i): Edit => putRecord({ ...token, order: orders[i] ?? 'V' }));
  return ok({ id, made, edits: [...tokensMade, putRecord(record)] });
}

/** A copy right behind the scheme, with its rules for elements. */
export function duplicateScheme(site: Site, id: Id): Result<{ edits: Edit[]; id: Id }> {
  const scheme = site.kinds.scheme.get(id);
  if (!scheme) return fail({ code: 'gone', message: 'That scheme is no longer there.', record: id });
  const made = newId('c');
  const { order, rekeyed } = placeBehind(site.kinds.scheme.values(), scheme);
  const record: SchemeRecord = {
    ...scheme,
    id: made,
    name: uniqueName(scheme.name, namesTaken(site.kinds.scheme.values())),
    order,
  };
  return ok({
    id: made,
    edits: [...rekeyed, putRecord(record), ...copiedRules(site, new Map([[id, made]]))],
  });
}

export function moveScheme(site: Site, id: Id, index: number): Edit[] {
  const scheme = site.kinds.scheme.get(id);
  return scheme ? reorder(site.kinds.scheme.values(), scheme, index) : [];
}

export const setDefaultScheme = (id: Id): Edit[] => [editAt<'settings'>(SETTINGS).set('defaultScheme', id)];

/** Takes a scheme away; what wears it wears the other one. Its rules for elements go with it. */
export function removeScheme(site: Site, id: Id, replacement: Id): Result<Edit[]> {
  if (!site.kinds.scheme.has(replacement) || replacement === id)
    return fail({ code: 'needed', message: 'Choose another scheme for what wears this one.', record: id });
  const rules = new Set<Id>();
  const edits = mentionsOf(site, id).flatMap(({ from, path }): Edit[] => {
    if (path === 'scheme') return [editAt<'section' | 'page'>(from).set('scheme', replacement)];
    if (path === 'defaultScheme') return [editAt<'settings'>(from).set('defaultScheme', replacement)];
    rules.add(from);
    return [];
  });
  return ok([...edits, ...[...rules].map((rule): Edit => removeRecord(rule)), removeRecord(id)]);
}

/** A role of the guide's own; its name as it is typed (`role.ticketEdge`) is made from its label once. */
export function addRole(
  site: Site,
  label: string,
  fallback: string,
  on: string | null,
): { edits: Edit[]; id: Id } {
  const words = label
    .trim()
    .replace(/[^a-zA-Z0-9 ]+/g, '')
    .split(/\s+/)
    .filter(Boolean);
  const camel = words.map((word, i) =>
    i === 0 ? word.toLowerCase() : word.charAt(0).toUpperCase() + word.slice(1),
  );
  const base = /^[a-z]/.test(camel.join(''))
    ? camel.join('').slice(0, 40)
    : `own${camel.join('').slice(0, 37)}`;
  const taken = new Set<string>();
  for (const map of Object.values(site.kinds)) for (const id of map.keys()) taken.add(id);
  let id = base;
  for (let n = 2; taken.has(id) || roleIn(site, id); n++) id = `${base}${n}`;
  const record: RoleRecord = {
    id,
    kind: 'role',
    name: uniqueName(label.trim() || 'Own role', namesTaken(site.kinds.role.values())),
    order: keyAtEnd(site.kinds.role.values()),
    fallback,
    on,
  };
  return { id, edits: [putRecord(record)] };
}

/** Takes a role away; what asked for it asks for the role it was taken from, schemes forget it. */
export function removeRole(site: Site, id: Id): Result<Edit[]> {
  const role = site.kinds.role.get(id);
  if (!role) return fail({ code: 'gone', message: 'That role is no longer there.', record: id });
  const users = mentionsOf(site, id).filter(({ path }) => !path.startsWith('roles.'));
  if (users.length > 0)
    return fail({
      code: 'in-use',
      message: `${role.name} is used ${users.length} time${users.length > 1 ? 's' : ''}. Set another role there first.`,
      record: id,
      found: users[0]?.from ?? id,
      expected: 'a role that nothing uses',
    });
  const unbound = mentionsOf(site, id).map(({ from }): Edit => editAt<'scheme'>(from).unsetIn('roles', id));
  return ok([...unbound, removeRecord(id)]);
}
