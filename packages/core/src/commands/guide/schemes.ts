import { luminance } from '../../color/index.ts';
import {
  type AskedAgain,
  faceOf,
  PURPOSE_LABELS,
  purposeOf,
  roleIn,
  roleNamed,
  type SchemeWish,
  type SolvedScheme,
  solveScheme,
  wishOf,
} from '../../guide/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { gamutsOf } from '../../measure/index.ts';
import { mentionsOf } from '../../reach/mentions.ts';
import { fail, ok, type Problem, type Result } from '../../result/index.ts';
import {
  byOrder,
  type Edit,
  editAt,
  fieldEdits,
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
import { literalOf, NO_REBINDS } from '../../tokens/index.ts';
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

/** Why a swatch cannot be what a scheme is asked for as a role; null where it can. */
function unfit(site: Site, id: Id, role: 'surface' | 'mainFill'): Problem | null {
  const { token } = site.kinds;
  const swatch = token.get(id);
  if (swatch?.type !== 'color')
    return { code: 'gone', message: 'That swatch is no longer there.', record: id };
  const end = literalOf(token, NO_REBINDS, swatch.value);
  if (end?.type !== 'color' || end.value.alpha < 1)
    return {
      code: 'see-through',
      message: `${swatch.name} is see-through. Choose an opaque swatch.`,
      record: id,
      expected: 'an opaque swatch',
    };
  const { purpose } = purposeOf(site, swatch);
  if (roleNamed(role)?.takes.includes(purpose)) return null;
  const thing = role === 'surface' ? 'a surface' : 'what can be clicked';
  return {
    code: 'other-purpose',
    message: `${swatch.name} has the purpose ${PURPOSE_LABELS[purpose].toLowerCase()} and is not used for ${thing}. Change its purpose, or choose another swatch.`,
    record: id,
    found: purpose,
  };
}

function solve(site: Site, wish: SchemeWish): Result<SolvedScheme> {
  const problem =
    unfit(site, wish.surface, 'surface') ??
    (wish.action === undefined ? null : unfit(site, wish.action, 'mainFill'));
  if (problem) return fail(problem);
  const { token: tokens, tokenGroup: groups } = site.kinds;
  return ok(solveScheme({ tokens, groups, gamuts: gamutsOf(site) }, wish));
}

const putMade = ({ kinds: { token } }: Site, made: SolvedScheme['made']): Edit[] => {
  const orders = keysBetween(lastKey(token.values()), null, made.length);
  return made.map(({ token: it }, i) => putRecord({ ...it, order: orders[i] ?? 'V' }));
};

/** A new scheme, worked out from the palette; `counterpart` is the one of the other face that it goes with. */
export function generateScheme(
  site: Site,
  name: string,
  wish: SchemeWish,
  counterpart?: Id,
): Result<MadeScheme> {
  const found = solve(site, wish);
  if (!found.ok) return found;
  const { face, roles, solved, made } = found.value;
  const id = newId('c');
  const { action, headings } = wish;
  const record: SchemeRecord = {
    id,
    kind: 'scheme',
    name: uniqueName(name.trim() || 'Scheme', namesTaken(site.kinds.scheme.values())),
    face,
    order: keyAtEnd(site.kinds.scheme.values()),
    roles,
    solved,
    ...(action !== undefined && { action }),
    ...(headings !== undefined && { headings }),
  };
  const paired = counterpart === undefined ? [] : pairEdits(site, id, counterpart);
  return ok({ id, made, edits: [...putMade(site, made), putRecord(record), ...paired] });
}

/** Works a scheme out again from the palette as it is now. What is pinned stays, and what was bound by hand unless that is to be worked out too. */
export function solveAgain(
  site: Site,
  id: Id,
  asked: AskedAgain = {},
): Result<{ edits: Edit[]; made: SolvedScheme['made'] }> {
  const scheme = site.kinds.scheme.get(id);
  const wish = scheme && wishOf(scheme, asked);
  if (!scheme || !wish) return fail({ code: 'gone', message: 'That scheme is no longer there.', record: id });
  const found = solve(site, wish);
  if (!found.ok) return found;
  const { face, roles, solved, made } = found.value;
  const pinnedReasons = Object.entries(scheme.solved ?? {}).filter(
    ([name]) => Object.hasOwn(scheme.pinned ?? {}, name) && Object.hasOwn(roles, name),
  );
  const { action, headings } = wish;
  const { headings: _, ...rest } = scheme;
  const after: SchemeRecord = {
    ...rest,
    face,
    roles: {
      ...Object.fromEntries(Object.entries(scheme.roles).filter(([name]) => !roleNamed(name))),
      ...roles,
    },
    solved: { ...solved, ...Object.fromEntries(pinnedReasons) },
    ...(action !== undefined && { action }),
    ...(headings !== undefined && { headings }),
  };
  return ok({ edits: [...putMade(site, made), ...fieldEdits(scheme, after)], made });
}

/** Keeps a role as it is when the scheme is worked out again, or lets it go. */
export const pinRole = (scheme: Id, role: string, pinned: boolean): Edit[] => [
  pinned
    ? editAt<'scheme'>(scheme).setIn('pinned', role, true)
    : editAt<'scheme'>(scheme).unsetIn('pinned', role),
];

/** Both name each other; whoever either went with before is let go. */
function pairEdits({ kinds: { scheme } }: Site, a: Id, b: Id): Edit[] {
  const edit = (id: Id) => editAt<'scheme'>(id);
  const former = [a, b].flatMap(id => {
    const it = scheme.get(id)?.counterpart;
    return it === undefined || it === a || it === b ? [] : [edit(it).unset('counterpart')];
  });
  return [...former, edit(a).set('counterpart', b), edit(b).set('counterpart', a)];
}

/** Says which scheme of the other face goes with one; null takes them apart. */
export function setCounterpart(site: Site, id: Id, counterpart: Id | null): Result<Edit[]> {
  const scheme = site.kinds.scheme.get(id);
  if (!scheme) return fail({ code: 'gone', message: 'That scheme is no longer there.', record: id });
  if (counterpart === null)
    return ok(
      [id, scheme.counterpart].flatMap(it =>
        it !== undefined && site.kinds.scheme.get(it)?.counterpart !== undefined
          ? [editAt<'scheme'>(it).unset('counterpart')]
          : [],
      ),
    );
  const other = site.kinds.scheme.get(counterpart);
  if (!other || other.face === scheme.face)
    return fail({
      code: 'same-face',
      message: `Choose a ${scheme.face === 'light' ? 'dark' : 'light'} scheme as the counterpart of ${scheme.name}.`,
      record: id,
      found: other?.name ?? counterpart,
    });
  return ok(pairEdits(site, id, counterpart));
}

/** A scheme of the other face for a brand that has none yet: on its neutral furthest from this one’s surface, with the same colour for what can be clicked. */
export function addCounterpart(site: Site, id: Id): Result<MadeScheme> {
  const { scheme: schemes, token: tokens } = site.kinds;
  const scheme = schemes.get(id);
  const wish = scheme && wishOf(scheme);
  if (!scheme || !wish) return fail({ code: 'gone', message: 'That scheme is no longer there.', record: id });
  const wanted = scheme.face === 'light' ? 'dark' : 'light';
  const surface = surfaceOfFace(site, wanted);
  if (!surface)
    return fail({
      code: 'no-surface',
      message: `There is no ${wanted} neutral swatch to stand on. Add one first.`,
      record: id,
    });
  const { action, headings } = wish;
  const asked = {
    surface,
    ...(action !== undefined && tokens.has(action) && { action }),
    ...(headings !== undefined && { headings }),
  };
  return generateScheme(site, `${scheme.name}, ${wanted}`, asked, id);
}

/** The neutral swatch that is the best ground of a face: the darkest, or the lightest. */
function surfaceOfFace(site: Site, face: SchemeRecord['face']): Id | undefined {
  const { token: tokens } = site.kinds;
  const grounds = [...tokens.values()].flatMap(token => {
    const end =
      token.type === 'color' && token.value.type !== 'token'
        ? literalOf(tokens, NO_REBINDS, token.value)
        : null;
    if (end?.type !== 'color' || end.value.alpha < 1) return [];
    if (!['neutral', 'identity'].includes(purposeOf(site, token).purpose)) return [];
    const isNeutral = purposeOf(site, token).purpose === 'neutral';
    const level = luminance(end.value);
    return faceOf(end.value) === face ? [{ id: token.id, isNeutral, level }] : [];
  });
  return grounds.sort(
    (a, b) =>
      Number(b.isNeutral) - Number(a.isNeutral) || (face === 'dark' ? a.level - b.level : b.level - a.level),
  )[0]?.id;
}

/** A copy right behind the scheme, with its rules for elements. */
export function duplicateScheme(site: Site, id: Id): Result<{ edits: Edit[]; id: Id }> {
  const scheme = site.kinds.scheme.get(id);
  if (!scheme) return fail({ code: 'gone', message: 'That scheme is no longer there.', record: id });
  const made = newId('c');
  const { order, rekeyed } = placeBehind(site.kinds.scheme.values(), scheme);
  const { counterpart: _, ...alone } = scheme;
  const record: SchemeRecord = {
    ...alone,
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
    if (path.startsWith('instead.')) return [editAt<'preset'>(from).unsetIn('instead', id)];
    if (path === 'counterpart') return [editAt<'scheme'>(from).unset('counterpart')];
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
