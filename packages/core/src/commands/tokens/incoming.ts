import { groupNamed } from '../../guide/index.ts';
import {
  type Incoming,
  type IncomingGroup,
  type IncomingItem,
  type IncomingScheme,
  incomingTokens,
} from '../../incoming/incoming.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import {
  applyChange,
  type Edit,
  editOf,
  type Id,
  keysBetween,
  newId,
  type PresetRecord,
  putRecord,
  type SchemeRecord,
  type Site,
  stableText,
  type TextStyleRecord,
  type TokenRecord,
} from '../../site/index.ts';
import { slug, tokenAt, tokenPath } from '../../tokens/index.ts';
import { tokensIn, type Value, withTokens } from '../../values/index.ts';
import { lastKey } from '../order/order.ts';
import { rolesDiffering, schemeEdits } from './incomingSchemes.ts';

/** What taking something over would do to the guide. */
export type IncomingState = 'new' | 'changed' | 'same';

export interface ComparedItem extends IncomingItem {
  state: IncomingState;
  /** What has its path in the guide now, if anything has. */
  there: TokenRecord | TextStyleRecord | PresetRecord | null;
  /** The record as the guide would have it: references go to the guide's own tokens where they have the same path. */
  becomes: TokenRecord | TextStyleRecord | PresetRecord;
}

export interface ComparedScheme {
  scheme: IncomingScheme;
  /** The scheme of the guide that has its name, if there is one. */
  there: SchemeRecord | null;
  state: IncomingState;
}

export interface ComparedIncoming {
  items: readonly ComparedItem[];
  schemes: readonly ComparedScheme[];
  groups: readonly IncomingGroup[];
  /** Tokens of the guide that stand in a group of the source, and are not in it. */
  missing: readonly TokenRecord[];
}

type Styles = TextStyleRecord['styles'];

const withStyles = (styles: Styles, other: (id: Id) => Id): Styles =>
  Object.fromEntries(Object.entries(styles).map(([slot, value]) => [slot, withTokens(value, other)]));

const differs = (a: unknown, b: unknown): boolean => stableText(a) !== stableText(b);

/** Everything but the name and place of a record, which stay as the guide has them. */
function becoming(
  item: IncomingItem,
  there: ComparedItem['there'],
  other: (id: Id) => Id,
): ComparedItem['becomes'] {
  const { record } = item;
  if (record.kind === 'token') {
    const value = withTokens(record.value, other);
    if (there?.kind !== 'token') return { ...record, value };
    return {
      ...there,
      value,
      ...(record.note !== undefined && { note: record.note }),
      ...(record.purpose !== undefined && { purpose: record.purpose }),
      ...(record.carried !== undefined && { carried: record.carried }),
    };
  }
  const styles = withStyles(record.styles, other);
  if (there?.kind !== record.kind) return { ...record, styles };
  return {
    ...there,
    styles: { ...there.styles, ...styles },
    ...(record.note !== undefined && { note: record.note }),
  };
}

/** The group of what its source puts in none. */
const UNGROUPED = 'Imported';

const inGroup = (item: IncomingItem, group: string): IncomingItem =>
  item.ungrouped && item.record.kind === 'token' ? { ...item, record: { ...item.record, group } } : item;

/** Tokens by their paths as custom properties have them, where one step runs into the next; null where two come to the same. */
function joinedPaths(tokens: Site['kinds']['token']): ReadonlyMap<string, TokenRecord | null> {
  const joined = new Map<string, TokenRecord | null>();
  for (const it of tokens.values()) {
    const path = tokenPath(tokens, it.id).replaceAll('.', '-');
    joined.set(path, joined.has(path) ? null : it);
  }
  return joined;
}

/** Lays what was read beside the guide: tokens are matched by their paths, text styles and presets by their names. What its source puts in no group stands in `group`. */
export function compareIncoming(site: Site, read: Incoming, group: string = UNGROUPED): ComparedIncoming {
  const { token: tokens, textStyle, preset } = site.kinds;
  const incoming = { ...read, items: read.items.map(it => inGroup(it, group)) };
  const own = incomingTokens(incoming);
  const named = {
    textStyle: new Map(Array.from(textStyle.values(), it => [slug(it.name), it])),
    preset: new Map(Array.from(preset.values(), it => [slug(it.name), it])),
  };
  const known = new Map<Id, TokenRecord>();
  const joined = joinedPaths(tokens);
  for (const { record, name } of incoming.items) {
    const there = tokenAt(tokens, tokenPath(own, record.id)) ?? joined.get(slug(name));
    if (record.kind === 'token' && there?.type === record.type) known.set(record.id, there);
  }
  const other = (id: Id) => known.get(id)?.id ?? id;
  const items = incoming.items.map((item): ComparedItem => {
    const { record } = item;
    const there =
      (record.kind === 'token' ? known.get(record.id) : named[record.kind].get(slug(record.name))) ?? null;
    const becomes = becoming(item, there, other);
    return { ...item, there, becomes, state: !there ? 'new' : differs(there, becomes) ? 'changed' : 'same' };
  });
  const groups = new Set(Array.from(own.values(), it => `${it.type} ${slug(it.group)}`));
  const met = new Set(Array.from(known.values(), it => it.id));
  const missing = [...tokens.values()].filter(
    it => !met.has(it.id) && groups.has(`${it.type} ${slug(it.group)}`),
  );
  const schemes = incoming.schemes.map((scheme): ComparedScheme => {
    const there = [...site.kinds.scheme.values()].find(it => slug(it.name) === slug(scheme.name)) ?? null;
    const isSame = there && rolesDiffering(site, there, scheme, other).length === 0;
    return { scheme, there, state: !there ? 'new' : isSame ? 'same' : 'changed' };
  });
  return { items, schemes, groups: incoming.groups, missing };
}

const valuesOf = (record: ComparedItem['becomes']): readonly Value[] =>
  record.kind === 'token' ? [record.value] : Object.values(record.styles);

/** What of some items has to come for the chosen ones to stand: new tokens that they refer to, directly or through others. */
export function neededBy(compared: ComparedIncoming, chosen: ReadonlySet<Id>): Set<Id> {
  const fresh = new Map(
    compared.items.flatMap(it => (it.state === 'new' ? [[it.record.id, it] as const] : [])),
  );
  const byId = new Map(compared.items.map(it => [it.record.id, it]));
  const all = new Set(chosen);
  for (const { scheme } of compared.schemes)
    if (all.has(scheme.id))
      for (const id of [...scheme.colors.flat(), ...scheme.roles.map(([, color]) => color)]) all.add(id);
  // A set answers with what is added to it while it is walked.
  for (const id of all) {
    const it = byId.get(id);
    for (const to of it ? valuesOf(it.becomes).flatMap(tokensIn) : []) if (fresh.has(to)) all.add(to);
  }
  return all;
}

export interface TakenIncoming {
  edits: Edit[];
  /** Ids in the guide of what was made or altered, in order. */
  ids: readonly Id[];
  added: number;
  altered: number;
}

/**
 * Takes the chosen items over, by the ids they were read with, and what they need. What has the path of something in the
 * guide gives it its value; the rest is added behind what is there.
 */
export function takeIncoming(
  site: Site,
  compared: ComparedIncoming,
  chosen: ReadonlySet<Id> = idsIn(compared),
): TakenIncoming {
  const wanted = neededBy(compared, chosen);
  const taken = compared.items.filter(it => it.state !== 'same' && wanted.has(it.record.id));
  const { kinds } = site;
  const orders = {
    token: keysBetween(lastKey(kinds.token.values()), null, taken.length),
    textStyle: keysBetween(lastKey(kinds.textStyle.values()), null, taken.length),
    preset: keysBetween(lastKey(kinds.preset.values()), null, taken.length),
  };
  const names = {
    textStyle: namesTaken(kinds.textStyle.values()),
    preset: namesTaken(kinds.preset.values()),
  };
  let altered = 0;
  let added = 0;
  const ids: Id[] = [];
  const puts: Edit[] = [];
  const sets: Edit[] = [];
  for (const [i, { becomes, there }] of taken.entries()) {
    ids.push(becomes.id);
    if (there) {
      altered++;
      sets.push(...changesOf(there, becomes));
      continue;
    }
    added++;
    const order = orders[becomes.kind][i] ?? becomes.order;
    puts.push(
      putRecord(
        becomes.kind === 'token'
          ? { ...becomes, order }
          : { ...becomes, order, name: uniqueName(becomes.name, names[becomes.kind]) },
      ),
    );
  }
  const edits = [...puts, ...sets, ...groupEdits(site, compared.groups, taken)];
  const guideId = new Map(compared.items.map(it => [it.record.id, it.becomes.id]));
  let now = site;
  for (const { scheme, there, state } of compared.schemes) {
    if (state === 'same' || !chosen.has(scheme.id)) continue;
    const applied = applyChange(now, { edits: now === site ? edits : [] });
    if (!applied.ok) break;
    const made = schemeEdits(applied.value.site, scheme, there, id => guideId.get(id) ?? id);
    if (made.length === 0) continue;
    const next = applyChange(applied.value.site, { edits: made });
    if (!next.ok) continue;
    now = next.value.site;
    edits.push(...made);
    ids.push(
      there?.id ??
        made.flatMap(it => (it.op === 'put' && it.record.kind === 'scheme' ? [it.record.id] : []))[0] ??
        scheme.id,
    );
    if (there) altered++;
    else added++;
  }
  return { edits, ids, added, altered };
}

/** What is said of the groups of what is taken. */
function groupEdits(site: Site, groups: readonly IncomingGroup[], taken: readonly ComparedItem[]): Edit[] {
  const met = new Set(taken.flatMap(({ becomes }) => (becomes.kind === 'token' ? [becomes.group] : [])));
  return groups.flatMap(group => {
    if (!met.has(group.name)) return [];
    const there = groupNamed(site, group.name);
    const record = { ...there, ...group, id: there?.id ?? newId('g'), kind: 'tokenGroup' } as const;
    return there && !differs(there, record) ? [] : [putRecord(record)];
  });
}

/** Ids of all that can be taken. */
export const idsIn = ({ items, schemes }: ComparedIncoming): Set<Id> =>
  new Set([...items.map(it => it.record.id), ...schemes.map(it => it.scheme.id)]);

/** One edit for each thing that differs, so that what somebody else changes meanwhile stays. */
function changesOf(was: NonNullable<ComparedItem['there']>, is: ComparedItem['becomes']): Edit[] {
  const edits: Edit[] = [];
  if (was.kind === 'token' && is.kind === 'token') {
    if (differs(was.value, is.value)) edits.push(editOf(was).set('value', is.value));
    if (is.purpose !== undefined && was.purpose !== is.purpose)
      edits.push(editOf(was).set('purpose', is.purpose));
    if (is.carried !== undefined && differs(was.carried, is.carried))
      edits.push(editOf(was).set('carried', is.carried));
  }
  if (was.kind === 'textStyle' && is.kind === 'textStyle')
    for (const [slot, value] of Object.entries(is.styles))
      if (differs(was.styles[slot], value)) edits.push(editOf(was).setIn('styles', slot, value));
  if (was.kind === 'preset' && is.kind === 'preset')
    for (const [slot, value] of Object.entries(is.styles))
      if (differs(was.styles[slot], value)) edits.push(editOf(was).setIn('styles', slot, value));
  if (is.note !== undefined && was.note !== is.note) edits.push(noteEdit(was, is.note));
  return edits;
}

function noteEdit(was: NonNullable<ComparedItem['there']>, note: string): Edit {
  switch (was.kind) {
    case 'token':
      return editOf(was).set('note', note);
    case 'textStyle':
      return editOf(was).set('note', note);
    case 'preset':
      return editOf(was).set('note', note);
  }
}
