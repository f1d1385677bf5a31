import { groupNamed } from '../../guide/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { mentionsOf, usersOf } from '../../reach/mentions.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  byOrder,
  type Edit,
  editOf,
  getRecord,
  type Id,
  keysBetween,
  newId,
  putRecord,
  removeRecord,
  type Site,
  type SiteRecord,
  type TokenRecord,
} from '../../site/index.ts';
import { closure, derivationNamed, literalOf, NO_REBINDS } from '../../tokens/index.ts';
import { type TokenType, type Value, withTokens } from '../../values/index.ts';
import { keyAtEnd, lastKey, placeBehind, reorder } from '../order/order.ts';

export interface MadeTokens {
  edits: Edit[];
  /** Ids of what was made or altered, in order. */
  ids: readonly Id[];
}

const siblings = (site: Site, token: Pick<TokenRecord, 'type' | 'group'>): TokenRecord[] =>
  [...site.kinds.token.values()]
    .filter(it => it.type === token.type && it.group === token.group)
    .sort(byOrder);

/** A name that no other token of this type and group has. */
export const freeName = (site: Site, type: TokenType, group: string, wanted: string): string =>
  uniqueName(wanted, namesTaken(siblings(site, { type, group })));

export function addToken(
  site: Site,
  { type, group, name, value }: Pick<TokenRecord, 'type' | 'group' | 'name' | 'value'>,
): { edits: Edit[]; id: Id } {
  const id = newId('t');
  const record: TokenRecord = {
    id,
    kind: 'token',
    type,
    name: freeName(site, type, group, name),
    group,
    order: keyAtEnd(site.kinds.token.values()),
    value,
  };
  return { id, edits: [putRecord(record)] };
}

/** A token that follows this one by a derivation, at the settings it begins with; null where there is none such. */
export function deriveToken(site: Site, id: Id, op: string): { edits: Edit[]; id: Id } | null {
  const token = site.kinds.token.get(id);
  const made = derivationNamed(op);
  if (!token || !made || made.type !== token.type) return null;
  const other = [...site.kinds.token.values()].find(it => it.type === token.type && it.id !== id);
  if (made.from.length > 1 && !other) return null;
  const from = made.from.map((_, i) => (i === 0 ? id : (other?.id ?? id)));
  return addToken(site, {
    type: token.type,
    group: token.group,
    name: `${token.name} ${made.label.toLowerCase()}`,
    value: { type: 'derived', derivation: { op, from, by: made.by.map(by => by.start) } },
  });
}

/** Takes back that a token is to be used no longer, as a token file said. */
export function undeprecate(token: TokenRecord): Edit[] {
  const { deprecated, ...rest } = token.carried ?? {};
  if (deprecated === undefined) return [];
  return [editOf(token).put('carried', Object.keys(rest).length > 0 ? rest : null)];
}

/** A copy right after the token, which stands by itself: what follows the one does not follow the other. */
export function duplicateToken(site: Site, id: Id): Result<{ edits: Edit[]; id: Id }> {
  const token = site.kinds.token.get(id);
  if (!token) return fail({ code: 'gone', message: 'That token is no longer there.', record: id });
  const made = newId('t');
  const { order, rekeyed } = placeBehind(siblings(site, token), token);
  const record: TokenRecord = {
    ...token,
    id: made,
    name: freeName(site, token.type, token.group, token.name),
    order,
  };
  return ok({ id: made, edits: [...rekeyed, putRecord(record)] });
}

/** Moves a token to place `index` of a group, among tokens of its own type; the group may be new. */
export function moveToken(site: Site, id: Id, group: string, index: number): Edit[] {
  const token = site.kinds.token.get(id);
  if (!token) return [];
  const regroup: Edit[] = token.group === group ? [] : [editOf(token).set('group', group)];
  return [...regroup, ...reorder(siblings(site, { type: token.type, group }), token, index)];
}

/** What is said of a group goes with its name, unless tokens of another type stay in it. */
export function renameGroup(site: Site, type: TokenType, from: string, to: string): Edit[] {
  const moved = siblings(site, { type, group: from }).map(it => editOf(it).set('group', to));
  const stays = [...site.kinds.token.values()].some(it => it.group === from && it.type !== type);
  const said = stays || groupNamed(site, to) ? undefined : groupNamed(site, from);
  return said ? [...moved, editOf(said).set('name', to)] : moved;
}

/** One path of a record, with other tokens in the place of those it names. */
function renamed(record: SiteRecord, path: string, other: (id: Id) => Id): Edit[] {
  const dot = path.indexOf('.');
  const [field, key] = dot < 0 ? [path] : [path.slice(0, dot), path.slice(dot + 1)];
  const follow = (value: Value | undefined, set: (next: Value) => Edit): Edit[] => {
    const next = value && withTokens(value, other);
    return !next || next === value ? [] : [set(next)];
  };
  if (record.kind === 'settings')
    return field === 'textBase' || field === 'textRatio'
      ? [editOf(record).set(field, other(record[field]))]
      : [];
  if (record.kind === 'drawing') {
    const paint = (it: Value | null) => it && withTokens(it, other);
    const paths = record.paths.map(it => ({ ...it, fill: paint(it.fill), stroke: paint(it.stroke) }));
    return [editOf(record).set('paths', paths)];
  }
  if (record.kind === 'token')
    return field === 'value' ? follow(record.value, next => editOf(record).set('value', next)) : [];
  if (field === 'action' && record.kind === 'scheme' && record.action !== undefined)
    return [editOf(record).set('action', other(record.action))];
  if (key === undefined) return [];
  if (field === 'rebind' && 'rebind' in record) {
    const edit = editOf(record);
    const it = record.rebind[key];
    const to = other(key);
    if (!it || to === key) return follow(it, next => edit.setIn('rebind', key, next));
    const moved = Object.hasOwn(record.rebind, to) ? [] : [edit.setIn('rebind', to, withTokens(it, other))];
    return [edit.unsetIn('rebind', key), ...moved];
  }
  if (field === 'styles' && 'styles' in record)
    return follow(record.styles[key], next => editOf(record).setIn('styles', key, next));
  if (field === 'roles' && record.kind === 'scheme')
    return follow(record.roles[key], next => editOf(record).setIn('roles', key, next));
  return [];
}

/** Puts one token in the place of others, wherever they are named; the others go. */
export function replaceTokens(site: Site, gone: readonly Id[], by: Id): Result<Edit[]> {
  const { token: tokens } = site.kinds;
  const keep = tokens.get(by);
  const going = gone.filter(id => id !== by).flatMap(id => tokens.get(id) ?? []);
  if (!keep) return fail({ code: 'gone', message: 'The replacement is no longer there.', record: by });
  const odd = going.find(it => it.type !== keep.type);
  if (odd)
    return fail({
      code: 'wrong-type',
      message: `${odd.name} and ${keep.name} are not of one type.`,
      record: odd.id,
      found: odd.type,
      expected: keep.type,
    });
  const set = new Set(going.map(it => it.id));
  const other = (id: Id) => (set.has(id) ? by : id);
  // A replacement that follows what goes is let go first: it keeps the value it has now.
  const end = literalOf(tokens, NO_REBINDS, keep.value);
  const freed: Edit[] = end && closure(tokens, set).has(by) ? [editOf(keep).set('value', end)] : [];
  const done = new Set<string>();
  const edits = going.flatMap(({ id }) =>
    mentionsOf(site, id).flatMap(({ from, path }): Edit[] => {
      const record = getRecord(site, from);
      // All paints of a drawing are one value.
      const key = `${from} ${record?.kind === 'drawing' ? 'paths' : path}`;
      if (!record || set.has(from) || done.has(key) || (from === by && freed.length > 0)) return [];
      done.add(key);
      return renamed(record, path, other);
    }),
  );
  return ok([...freed, ...edits, ...going.map(({ id }): Edit => removeRecord(id))]);
}

/** Takes a token away; one that is in use needs another in its place. */
export function removeToken(site: Site, id: Id, replacement: Id | null): Result<Edit[]> {
  if (replacement !== null) return replaceTokens(site, [id], replacement);
  const users = usersOf(site, id);
  return users.length === 0
    ? ok([removeRecord(id)])
    : fail({
        code: 'in-use',
        message: `It is used ${users.length} time${users.length > 1 ? 's' : ''}. Choose what takes its place.`,
        record: id,
        found: users[0] ?? id,
        expected: 'a replacement',
      });
}

/** A row of `count` swatches that follow one; where it stands in the ramp itself, none is made. */
export function addRamp(site: Site, id: Id, count: number): Result<MadeTokens> {
  const token = site.kinds.token.get(id);
  const end = token && literalOf(site.kinds.token, NO_REBINDS, token.value);
  if (token?.type !== 'color' || end?.type !== 'color')
    return fail({ code: 'gone', message: 'That swatch is no longer there.', record: id });
  const group = freeGroup(site, `${token.name} ramp`);
  const orders = keysBetween(lastKey(site.kinds.token.values()), null, count);
  const records = Array.from(
    { length: count },
    (_, i): TokenRecord => ({
      id: newId('t'),
      kind: 'token',
      type: 'color',
      name: `${token.name} ${i + 1}`.slice(0, 80),
      group,
      order: orders[i] ?? 'V',
      value: { type: 'derived', derivation: { op: 'ramp', from: [id], by: [i + 1, count] } },
    }),
  );
  return ok({ ids: records.map(it => it.id), edits: records.map(record => putRecord(record)) });
}

const freeGroup = (site: Site, wanted: string): string =>
  uniqueName(
    wanted.slice(0, 70),
    new Set(Array.from(site.kinds.token.values(), it => it.group.toLowerCase())),
  );
