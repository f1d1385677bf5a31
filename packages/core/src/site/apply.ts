import { type ChangeBudget, LIMITS } from '../limits/index.ts';
import { fail, ok, type Problem, type Result } from '../result/index.ts';
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

type Raw = Record<string, unknown>;

const own = (map: Readonly<Raw>, key: string): unknown => (Object.hasOwn(map, key) ? map[key] : undefined);

/** Sets a key of its own, whatever its name: plain assignment of `__proto__` would set something else. */
const assign = (map: Raw, key: string, value: unknown): void => {
  Object.defineProperty(map, key, { value, writable: true, enumerable: true, configurable: true });
};

/** Records in the midst of a change: each is copied once, and each map in it once, however many edits meet it. */
class Draft {
  /** What each touched id is; null for what is gone. */
  readonly touched = new Map<Id, Raw | null>();
  private readonly copied = new WeakSet<object>();
  /** Ids that came to stand in a place; some have left it again. */
  private readonly arrivals = new Map<Id, Set<Id>>();

  constructor(private readonly lookup: Lookup) {}

  now(id: Id): Readonly<Raw> | undefined {
    const touched = this.touched.get(id);
    return touched === undefined ? asRaw(this.lookup.get(id)) : (touched ?? undefined);
  }

  put(id: Id, record: object): void {
    this.touched.set(id, { ...record });
    this.noteParent(id);
  }

  drop(id: Id): void {
    this.touched.set(id, null);
  }

  set(id: Id, [field, key]: Path, value: unknown): void {
    const record = this.opened(id);
    if (key === undefined) assign(record, field, value);
    else assign(this.openedMap(record, field), key, value);
    if (field === 'at') this.noteParent(id);
  }

  unset(id: Id, [field, key]: Path): void {
    const record = this.opened(id);
    if (key === undefined) delete record[field];
    else if (isObject(own(record, field))) delete this.openedMap(record, field)[key];
    if (field === 'at') this.noteParent(id);
  }

  private opened(id: Id): Raw {
    const touched = this.touched.get(id);
    if (touched) return touched;
    const copy = { ...this.lookup.get(id) };
    this.touched.set(id, copy);
    return copy;
  }

  private openedMap(record: Raw, field: string): Raw {
    const map = own(record, field);
    if (isRaw(map) && this.copied.has(map)) return map;
    const copy: Raw = isObject(map) ? { ...map } : {};
    this.copied.add(copy);
    assign(record, field, copy);
    return copy;
  }

  private parentOf(id: Id): unknown {
    const at = own(this.touched.get(id) ?? {}, 'at');
    return isObject(at) ? at.parent : undefined;
  }

  private noteParent(id: Id): void {
    const parent = this.parentOf(id);
    if (typeof parent !== 'string') return;
    const there = this.arrivals.get(parent);
    if (there) there.add(id);
    else this.arrivals.set(parent, new Set([id]));
  }

  /** Children as they are at this point of the change. */
  childrenNow(id: Id): Id[] {
    const stays = (child: Id) => !this.touched.has(child) || this.parentOf(child) === id;
    const stored = this.lookup.childrenOf(id).filter(stays);
    const arrived = this.arrivals.get(id);
    if (!arrived) return stored;
    const known = new Set(stored);
    return [...stored, ...[...arrived].filter(child => !known.has(child) && stays(child))];
  }
}

const asRaw = (record: SiteRecord | undefined): Readonly<Raw> | undefined => record && { ...record };
const isRaw = (it: unknown): it is Raw => isObject(it);

const tooMuch = (what: string, most: number): { ok: false; problem: Problem } =>
  fail({
    code: 'too-much',
    message: `This alters too much at once, or undoing it would: more than ${most.toLocaleString('en')} ${what}. Do it in parts.`,
    found: `more than ${most} ${what}`,
    expected: `at most ${most} ${what}`,
  });

/**
 * Works out a change against what is there, and holds it to the invariants and to its budget. Alters nothing. What takes it
 * back has to fit the budget too, so a change that could not be undone is refused.
 */
export function applyEdits(
  lookup: Lookup,
  { edits }: Pick<Change, 'edits'>,
  budget: ChangeBudget = LIMITS.computedChange,
): Result<Outcome> {
  if (edits.length > budget.edits) return tooMuch('edits', budget.edits);
  const draft = new Draft(lookup);
  /** What takes back each edit, in the order of the edits. */
  const inverses: Edit[][] = [];
  const dropped: Edit[] = [];
  let undoing = 0;

  for (const edit of edits) {
    const id = targetOf(edit);
    const before = draft.now(id);
    const inverse: Edit[] = [];
    if (edit.op === 'put') {
      if (before)
        return fail({
          code: 'id-taken',
          message: `There is already a record ${id}.`,
          record: id,
          found: String(before.kind),
          expected: 'an id not in use',
        });
      draft.put(id, edit.record);
      inverse.push({ op: 'remove', id });
    } else if (!before) {
      dropped.push(edit);
    } else if (edit.op === 'remove') {
      for (const inner of subtree({ childrenOf: it => draft.childrenNow(it) }, id, budget.records)) {
        const record = readRecord(draft.now(inner));
        // What could not be put back is not taken away.
        if (!record.ok) return record;
        inverse.push({ op: 'put', record: record.value });
      }
      for (const inner of inverse) draft.drop(targetOf(inner));
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
      const [field, key] = edit.path;
      const held = own(before, field);
      const old = key === undefined ? held : isObject(held) ? own(held, key) : undefined;
      if (edit.op === 'unset' && old === undefined) continue;
      if (edit.op === 'set') draft.set(id, edit.path, edit.value);
      else draft.unset(id, edit.path);
      inverse.push(
        old === undefined
          ? { op: 'unset', id, path: edit.path }
          : { op: 'set', id, path: edit.path, value: old },
      );
    }
    undoing += inverse.length;
    if (undoing > budget.edits) return tooMuch('edits', budget.edits);
    if (draft.touched.size > budget.records) return tooMuch('things', budget.records);
    inverses.push(inverse);
  }

  const after = new Map<Id, SiteRecord | null>();
  for (const [id, it] of draft.touched) {
    if (it === null) {
      after.set(id, null);
      continue;
    }
    const record = readRecord(it);
    if (!record.ok) return record;
    after.set(id, record.value);
  }
  const problem = violation(lookup, after, id => draft.childrenNow(id));
  return problem ? { ok: false, problem } : ok({ after, inverse: inverses.reverse().flat(), dropped });
}

interface Referrer {
  from: Id;
  path: string;
}

const referrers = new WeakMap<ReadonlyMap<Id, SiteRecord>, ReadonlyMap<Id, readonly Referrer[]>>();

/** Who refers to whom among the records of one kind; made once for each map of records. */
function referrersIn(records: ReadonlyMap<Id, SiteRecord>): ReadonlyMap<Id, readonly Referrer[]> {
  const known = referrers.get(records);
  if (known) return known;
  const made = new Map<Id, Referrer[]>();
  for (const record of records.values())
    for (const { path, to } of referencesOf(record)) {
      const list = made.get(to);
      if (list) list.push({ from: record.id, path });
      else made.set(to, [{ from: record.id, path }]);
    }
  referrers.set(records, made);
  return made;
}

const addresses = new WeakMap<Site['kinds']['page'], ReadonlyMap<string, readonly Id[]>>();

/** Pages by the place they stand in and the last step of their address; made once for each map of pages. */
function addressesOf(pages: Site['kinds']['page']): ReadonlyMap<string, readonly Id[]> {
  const known = addresses.get(pages);
  if (known) return known;
  const byAddress = new Map<string, Id[]>();
  for (const { id, at, path } of pages.values()) {
    const key = `${at.parent} ${path}`;
    const list = byAddress.get(key);
    if (list) list.push(id);
    else byAddress.set(key, [id]);
  }
  addresses.set(pages, byAddress);
  return byAddress;
}

/** Answers invariants from a whole site. */
export const lookupOf = (site: Site): Lookup => ({
  get: id => getRecord(site, id),
  childrenOf: id => site.children.get(id) ?? [],
  *referrersOf(id) {
    for (const map of Object.values(site.kinds)) yield* referrersIn(map).get(id) ?? [];
  },
  pagesAt: (parent, path) => addressesOf(site.kinds.page).get(`${parent} ${path}`) ?? [],
});

export interface Applied extends Outcome {
  site: Site;
}

/** The next site and what takes it back, or why not. */
export function applyChange(
  site: Site,
  change: Pick<Change, 'edits'>,
  budget?: ChangeBudget,
): Result<Applied> {
  const outcome = applyEdits(lookupOf(site), change, budget);
  return outcome.ok ? ok({ ...outcome.value, site: withRecords(site, outcome.value.after) }) : outcome;
}
