import { includedIn } from '../guide/presetStyles.ts';
import { fail, ok, type Problem, type Result } from '../result/index.ts';
import { isCircular, type Rebinds } from '../tokens/index.ts';
import type { Value } from '../values/index.ts';
import { maybeElement } from '../widgets/index.ts';
import { type Change, type Edit, type Path, targetOf } from './change.ts';
import { isObject } from './fields.ts';
import { placedId } from './place.ts';
import { elementOfArea, readRecord } from './readRecord.ts';
import { type Id, type NodeRecord, SETTINGS, type SiteRecord } from './records.ts';
import { referencesOf } from './references.ts';
import { getRecord, type Lookup, type Site, subtree, withRecords } from './site.ts';

export interface Outcome {
  /** What each touched id is afterwards; null for what is gone. */
  after: ReadonlyMap<Id, SiteRecord | null>;
  /** Edits that take it back, in the order in which they apply. */
  inverse: readonly Edit[];
  /** Edits that met nothing to alter: their record was gone. The rest stands. */
  dropped: readonly Edit[];
}

export const MAX_PRESETS_WORN = 8;

type Raw = Readonly<Record<string, unknown>>;

function setPath(record: Raw, path: Path, value: unknown): Raw {
  const [field, key] = path;
  if (key === undefined) return { ...record, [field]: value };
  const map = record[field];
  return { ...record, [field]: { ...(isObject(map) ? map : {}), [key]: value } };
}

function unsetPath(record: Raw, [field, key]: Path): Raw {
  if (key === undefined) {
    const { [field]: _, ...rest } = record;
    return rest;
  }
  const map = record[field];
  if (!isObject(map)) return record;
  const { [key]: _, ...rest } = map;
  return { ...record, [field]: rest };
}

function getPath(record: Raw, [field, key]: Path): unknown {
  const value = record[field];
  if (key === undefined) return value;
  return isObject(value) && Object.hasOwn(value, key) ? value[key] : undefined;
}

/** Works out a change against what is there, and holds it to the invariants. Alters nothing. */
export function work(lookup: Lookup, { edits }: Pick<Change, 'edits'>): Result<Outcome> {
  const raw = new Map<Id, Raw | null>();
  const inverse: Edit[] = [];
  const dropped: Edit[] = [];
  const now = (id: Id): Raw | undefined => {
    const touched = raw.get(id);
    if (touched !== undefined) return touched ?? undefined;
    const record = lookup.get(id);
    return record && { ...record };
  };
  const parentNow = (id: Id) => {
    const at = now(id)?.at;
    return isObject(at) ? at.parent : undefined;
  };
  /** Children as they are in the midst of this change. */
  const childrenNow = (id: Id): Id[] => {
    const stored = lookup.childrenOf(id).filter(child => parentNow(child) === id);
    const moved = [...raw.keys()].filter(child => parentNow(child) === id && !stored.includes(child));
    return [...stored, ...moved];
  };

  for (const edit of edits) {
    const id = targetOf(edit);
    const before = now(id);
    if (edit.op === 'put') {
      if (before)
        return fail({
          code: 'id-taken',
          message: `There is already a record ${id}.`,
          record: id,
          found: String(before.kind),
          expected: 'an id not in use',
        });
      raw.set(id, { ...edit.record });
      inverse.unshift({ op: 'remove', id });
    } else if (!before) {
      dropped.push(edit);
    } else if (edit.op === 'remove') {
      const gone = subtree({ childrenOf: childrenNow }, id);
      const puts: Edit[] = [];
      for (const inner of gone) {
        const record = readRecord(now(inner));
        if (record.ok) puts.push({ op: 'put', record: record.value });
      }
      inverse.unshift(...puts);
      for (const inner of gone) raw.set(inner, null);
    } else if (edit.path[0] === 'id' || edit.path[0] === 'kind') {
      return fail({
        code: 'bad-path',
        message: `The ${edit.path[0]} of a record stays as it is.`,
        record: id,
        path: edit.path[0],
        found: edit.op,
        expected: 'another path',
      });
    } else {
      const old = getPath(before, edit.path);
      if (edit.op === 'unset' && old === undefined) continue;
      raw.set(id, edit.op === 'set' ? setPath(before, edit.path, edit.value) : unsetPath(before, edit.path));
      inverse.unshift(
        old === undefined
          ? { op: 'unset', id, path: edit.path }
          : { op: 'set', id, path: edit.path, value: old },
      );
    }
  }

  const after = new Map<Id, SiteRecord | null>();
  for (const [id, it] of raw) {
    if (it === null) {
      after.set(id, null);
      continue;
    }
    const record = readRecord(it);
    if (!record.ok) return record;
    after.set(id, record.value);
  }
  const problem = violation(lookup, after, childrenNow);
  return problem ? { ok: false, problem } : ok({ after, inverse, dropped });
}

/** The first invariant that does not hold, looking only at what was touched. */
function violation(
  lookup: Lookup,
  after: ReadonlyMap<Id, SiteRecord | null>,
  childrenNow: (id: Id) => Id[],
): Problem | null {
  const get = (id: Id): SiteRecord | undefined => {
    const touched = after.get(id);
    return touched === null ? undefined : (touched ?? lookup.get(id));
  };
  for (const [id, record] of after) {
    const problem = record ? checkRecord(record, lookup, get, childrenNow) : checkRemoval(id, lookup, after);
    if (problem) return problem;
  }
  return null;
}

function checkRemoval(id: Id, lookup: Lookup, after: ReadonlyMap<Id, SiteRecord | null>): Problem | null {
  if (id === SETTINGS)
    return { code: 'needed', message: 'A site cannot do without its settings.', record: id };
  for (const { from, path } of lookup.referrersOf(id)) {
    const record = after.get(from);
    if (record === null || (record && !referencesOf(record).some(it => it.to === id))) continue;
    return {
      code: 'in-use',
      message: `${id} cannot go: ${from} uses it.`,
      record: from,
      path,
      found: id,
      expected: 'no mention of what is removed',
    };
  }
  return null;
}

function checkRecord(
  record: SiteRecord,
  lookup: Lookup,
  get: (id: Id) => SiteRecord | undefined,
  childrenNow: (id: Id) => Id[],
): Problem | null {
  for (const { path, to, kinds, types } of referencesOf(record)) {
    const target = get(to);
    const expected = `the id of a ${kinds.join(' or ')}${types ? ` of type ${types.join(' or ')}` : ''}`;
    if (!target || !kinds.includes(target.kind))
      return {
        code: 'dangling',
        message: `${record.id} refers to ${to}, which ${target ? `is a ${target.kind}` : 'is not there'}.`,
        record: record.id,
        path,
        found: target?.kind ?? to,
        expected,
      };
    if (types && target.kind === 'token' && !types.includes(target.type))
      return {
        code: 'wrong-type',
        message: `${record.id} refers to ${to}, a token of type ${target.type}.`,
        record: record.id,
        path,
        found: target.type,
        expected,
      };
  }
  const tokenValue =
    (rebinds: Rebinds) =>
    (id: Id): Value | null => {
      const own = Object.hasOwn(rebinds, id) ? rebinds[id] : undefined;
      const token = own ? undefined : get(id);
      return own ?? (token?.kind === 'token' ? token.value : null);
    };
  const circle = (id: Id, path: string): Problem => ({
    code: 'circular',
    message: `${id} would follow itself.`,
    record: record.id,
    path,
    found: id,
    expected: 'a value that does not lead back here',
  });
  switch (record.kind) {
    case 'token': {
      const before = lookup.get(record.id);
      if (before?.kind === 'token' && before.type !== record.type)
        return {
          code: 'wrong-type',
          message: 'A token keeps its type.',
          record: record.id,
          path: 'type',
          found: record.type,
          expected: before.type,
        };
      return isCircular(tokenValue({}), record.id) ? circle(record.id, 'value') : null;
    }
    case 'role': {
      const passed = new Set<string>();
      for (let at: string | undefined = record.id; at !== undefined; ) {
        if (passed.has(at)) return circle(record.id, 'fallback');
        passed.add(at);
        const next: SiteRecord | undefined = get(at);
        at = next?.kind === 'role' ? next.fallback : undefined;
      }
      return null;
    }
    case 'preset': {
      const holds = (id: Id, open: readonly Id[]): boolean => {
        if (open.includes(id)) return true;
        const it = get(id);
        return it?.kind === 'preset' && includedIn(it).some(inner => holds(inner, [...open, id]));
      };
      return holds(record.id, []) ? circle(record.id, 'includes') : null;
    }
    case 'default':
    case 'variantRule': {
      const expected = placedId(record);
      return expected === record.id
        ? null
        : {
            code: 'bad-id',
            message: 'There is one default for an element and place; its id says which.',
            record: record.id,
            path: 'id',
            found: record.id,
            expected,
          };
    }
    case 'page':
      return (
        checkRebinds(record, tokenValue, circle) ??
        checkAncestors(record, get) ??
        checkAddress(record, get, childrenNow)
      );
    case 'section':
      return checkRebinds(record, tokenValue, circle) ?? checkWearer(record, get);
    case 'widget':
      return checkAncestors(record, get) ?? checkParentHolds(record, get) ?? checkWearer(record, get);
    case 'settings': {
      const home = get(record.home);
      return home?.kind === 'page' && home.path !== ''
        ? {
            code: 'bad-home',
            message: 'The home page has an empty address.',
            record: record.id,
            path: 'home',
            found: home.path,
            expected: 'a page whose path is empty',
          }
        : null;
    }
    default:
      return null;
  }
}

function checkRebinds(
  record: SiteRecord & { rebind: Rebinds },
  values: (rebinds: Rebinds) => (id: Id) => Value | null,
  circle: (id: Id, path: string) => Problem,
): Problem | null {
  const get = values(record.rebind);
  const id = Object.keys(record.rebind).find(key => isCircular(get, key));
  return id === undefined ? null : circle(id, `rebind.${id}`);
}

function checkAncestors(
  record: SiteRecord & { at: { parent: Id } },
  get: (id: Id) => SiteRecord | undefined,
): Problem | null {
  const passed = new Set([record.id]);
  for (let at: Id | undefined = record.at.parent; at !== undefined; ) {
    if (passed.has(at))
      return {
        code: 'circular',
        message: `${record.id} cannot stand inside itself.`,
        record: record.id,
        path: 'at.parent',
        found: record.at.parent,
        expected: 'a place outside it',
      };
    passed.add(at);
    const parent = get(at);
    at = parent && 'at' in parent ? parent.at.parent : undefined;
  }
  return null;
}

function checkParentHolds(record: NodeRecord, get: (id: Id) => SiteRecord | undefined): Problem | null {
  const parent = get(record.at.parent);
  if (parent?.kind !== 'widget' || maybeElement(parent.widget)?.holds) return null;
  return {
    code: 'bad-parent',
    message: `A ${parent.widget} holds no widgets.`,
    record: record.id,
    path: 'at.parent',
    found: parent.widget,
    expected: 'a section or a group',
  };
}

function checkWearer(record: NodeRecord, get: (id: Id) => SiteRecord | undefined): Problem | null {
  const element = record.kind === 'widget' ? record.widget : elementOfArea(record.area).name;
  for (const [axis, id] of Object.entries(record.variants)) {
    const variant = get(id);
    if (variant?.kind === 'variant' && (variant.element !== element || variant.axis !== axis))
      return {
        code: 'wrong-variant',
        message: `${variant.name} is a variant of ${variant.element}, ${variant.axis}.`,
        record: record.id,
        path: `variants.${axis}`,
        found: id,
        expected: `a variant of ${element}, ${axis}`,
      };
  }
  const worn = Object.keys(record.wears).length;
  return worn <= MAX_PRESETS_WORN
    ? null
    : {
        code: 'too-many',
        message: `At most ${MAX_PRESETS_WORN} presets can be worn.`,
        record: record.id,
        path: 'wears',
        found: String(worn),
        expected: `at most ${MAX_PRESETS_WORN}`,
      };
}

function checkAddress(
  record: SiteRecord & { kind: 'page' },
  get: (id: Id) => SiteRecord | undefined,
  childrenNow: (id: Id) => Id[],
): Problem | null {
  const settings = get(SETTINGS);
  const isHome = settings?.kind === 'settings' && settings.home === record.id;
  if (isHome !== (record.path === ''))
    return {
      code: 'bad-address',
      message: isHome ? 'The home page has an empty address.' : 'A page needs an address.',
      record: record.id,
      path: 'path',
      found: record.path,
      expected: isHome ? 'nothing' : 'small letters, digits and hyphens',
    };
  for (const id of childrenNow(record.at.parent)) {
    const other = get(id);
    if (other?.kind === 'page' && other.id !== record.id && other.path === record.path)
      return {
        code: 'address-taken',
        message: `${other.title} has the address ${record.path} already.`,
        record: record.id,
        path: 'path',
        found: record.path,
        expected: 'an address of its own',
      };
  }
  return null;
}

/** Answers invariants from a whole site. */
export const lookupOf = (site: Site): Lookup => ({
  get: id => getRecord(site, id),
  childrenOf: id => site.children.get(id) ?? [],
  *referrersOf(id) {
    for (const map of Object.values(site.kinds))
      for (const record of map.values())
        for (const { path, to } of referencesOf(record)) if (to === id) yield { from: record.id, path };
  },
});

export interface Applied extends Outcome {
  site: Site;
}

/** The next site and what takes it back, or why not. */
export function applyChange(site: Site, change: Pick<Change, 'edits'>): Result<Applied> {
  const outcome = work(lookupOf(site), change);
  return outcome.ok ? ok({ ...outcome.value, site: withRecords(site, outcome.value.after) }) : outcome;
}
