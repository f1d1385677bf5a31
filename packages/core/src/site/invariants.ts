import { includedIn } from '../guide/presetStyles.ts';
import type { Problem } from '../result/index.ts';
import { isCircular, type Rebinds } from '../tokens/index.ts';
import type { Value } from '../values/index.ts';
import { maybeElement } from '../widgets/index.ts';
import { placedId } from './place.ts';
import { elementOfArea } from './readRecord.ts';
import { type Id, type NodeRecord, SETTINGS, type SectionRecord, type SiteRecord } from './records.ts';
import { referencesOf } from './references.ts';
import type { Lookup } from './site.ts';

export const MAX_PRESETS_WORN = 8;

/** The first invariant that does not hold, looking only at what was touched. */
export function violation(
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
      return (
        checkRebinds(record, tokenValue, circle) ??
        checkVersion(record, get, childrenNow) ??
        checkWearer(record, get)
      );
    case 'widget':
      return checkAncestors(record, get) ?? checkParentHolds(record, get) ?? checkWearer(record, get);
    case 'settings': {
      const home = get(record.home);
      return home?.kind === 'page' && (home.path !== '' || home.off)
        ? {
            code: 'bad-home',
            message: home.off ? 'The home page cannot be off.' : 'The home page has an empty address.',
            record: record.id,
            path: 'home',
            found: home.path,
            expected: 'a page that is on and whose path is empty',
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

/** A section that stands in another is a version of it: of the same area, and with no versions of its own. */
function checkVersion(
  record: SectionRecord,
  get: (id: Id) => SiteRecord | undefined,
  childrenNow: (id: Id) => Id[],
): Problem | null {
  const of = get(record.at.parent);
  const versions = childrenNow(record.id)
    .map(get)
    .filter(it => it?.kind === 'section');
  const wrong =
    of?.kind === 'section'
      ? of.area !== record.area || get(of.at.parent)?.kind === 'section' || versions.length > 0
      : versions.some(it => it.area !== record.area);
  return wrong
    ? {
        code: 'bad-parent',
        message: 'A version stands in the section that it is one of, and holds none itself.',
        record: record.id,
        path: 'at.parent',
        found: record.at.parent,
        expected: 'a page, or a section of its area that is no version',
      }
    : null;
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
  if (isHome && record.off)
    return {
      code: 'bad-home',
      message: 'The home page cannot be off.',
      record: record.id,
      path: 'off',
      found: 'true',
      expected: 'another home page first',
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
