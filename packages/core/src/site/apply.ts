import { fail, ok, type Result } from '../result/index.ts';
import { type Change, type Edit, type Path, targetOf } from './change.ts';
import { isObject } from './fields.ts';
import { violation } from './invariants.ts';
import { readRecord } from './readRecord.ts';
import type { Id, SiteRecord } from './records.ts';
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
