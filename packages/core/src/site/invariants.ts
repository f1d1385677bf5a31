import { LIMITS } from '../limits/index.ts';
import type { Problem } from '../result/index.ts';
import { tokensIn } from '../values/index.ts';
import { Chain, type ChainSpec } from './chain.ts';
import { includedIn } from './includedIn.ts';
import { type Kind, kindNamed, type RecordMap } from './kinds/index.ts';
import { type Id, SETTINGS, type SiteRecord } from './records.ts';
import { referencesOf } from './references.ts';
import type { Scene } from './scene.ts';
import type { Lookup } from './site.ts';

/** The first invariant that does not hold, looking only at what was touched. */
export function violation(
  lookup: Lookup,
  after: ReadonlyMap<Id, SiteRecord | null>,
  childrenNow: (id: Id) => readonly Id[],
): Problem | null {
  const get = (id: Id): SiteRecord | undefined => {
    const touched = after.get(id);
    return touched === null ? undefined : (touched ?? lookup.get(id));
  };
  const chain = (it: Omit<ChainSpec, 'lookup' | 'after'>) => new Chain({ ...it, lookup, after });
  const scene: Scene = {
    lookup,
    after,
    get,
    childrenNow,
    touchedAt: byAddress(after),
    following: chain({
      most: LIMITS.following,
      field: 'value',
      thing: 'tokens that follow one another',
      next: id => {
        const token = get(id);
        return token?.kind === 'token' ? tokensIn(token.value) : [];
      },
    }),
    falling: chain({
      most: LIMITS.following,
      field: 'fallback',
      thing: 'roles that fall back on one another',
      next: id => {
        const role = get(id);
        return role?.kind === 'role' ? [role.fallback] : [];
      },
    }),
    including: chain({
      most: LIMITS.including,
      field: 'includes',
      thing: 'presets that include one another',
      next: id => {
        const preset = get(id);
        return preset?.kind === 'preset' ? includedIn(preset) : [];
      },
    }),
  };
  for (const [id, record] of after) {
    const problem = record ? checkRecord(record, scene) : checkRemoval(id, scene);
    if (problem) return problem;
  }
  return null;
}

/** Touched pages by place and address; made when it is first asked for. */
function byAddress(after: ReadonlyMap<Id, SiteRecord | null>) {
  let made: Map<string, Id[]> | null = null;
  return (parent: Id, path: string): readonly Id[] => {
    if (!made) {
      made = new Map();
      for (const record of after.values())
        if (record?.kind === 'page') {
          const key = `${record.at.parent} ${record.path}`;
          const there = made.get(key);
          if (there) there.push(record.id);
          else made.set(key, [record.id]);
        }
    }
    return made.get(`${parent} ${path}`) ?? [];
  };
}

function checkRemoval(id: Id, { lookup, after }: Scene): Problem | null {
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

/** What a record mentions is there and fits. What it mentioned before the change is known to be, and was not taken away. */
function checkReferences(record: SiteRecord, before: SiteRecord | undefined, { get }: Scene): Problem | null {
  const had = before && new Set(referencesOf(before).map(({ path, to }) => `${path} ${to}`));
  for (const { path, to, kinds, types } of referencesOf(record)) {
    if (had?.has(`${path} ${to}`)) continue;
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
  return null;
}

function checkRecord(record: SiteRecord, scene: Scene): Problem | null {
  const before = scene.lookup.get(record.id);
  if (before && before.kind !== record.kind)
    return {
      code: 'id-taken',
      message: `${record.id} is the id of a ${before.kind}.`,
      record: record.id,
      path: 'kind',
      found: record.kind,
      expected: before.kind,
    };
  return checkReferences(record, before, scene) ?? checkKind(record.kind, record, before, scene);
}

/** What its kind asks of it besides. Both are of that kind. */
const checkKind = <K extends Kind>(
  kind: K,
  record: RecordMap[K],
  before: RecordMap[K] | undefined,
  scene: Scene,
): Problem | null => kindNamed(kind).check?.(record, before, scene) ?? null;
