import { longestWays } from '../graph/index.ts';
import { includedIn } from '../guide/presetStyles.ts';
import { LIMITS } from '../limits/index.ts';
import type { Problem } from '../result/index.ts';
import type { Rebinds } from '../tokens/index.ts';
import { tokensIn } from '../values/index.ts';
import { maybeElement } from '../widgets/index.ts';
import { Chain, type ChainSpec, circle, tooDeep } from './chain.ts';
import { stableText } from './difference.ts';
import { checkNesting } from './nesting.ts';
import { placedId } from './place.ts';
import { elementOfArea } from './readRecord.ts';
import {
  type Id,
  type NodeRecord,
  type PageRecord,
  SETTINGS,
  type SectionRecord,
  type SiteRecord,
  type WidgetRecord,
} from './records.ts';
import { referencesOf } from './references.ts';
import type { Scene } from './scene.ts';
import type { Lookup } from './site.ts';

export const MAX_PRESETS_WORN = 8;

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
  const { lookup, get } = scene;
  const before = lookup.get(record.id);
  if (before && before.kind !== record.kind)
    return {
      code: 'id-taken',
      message: `${record.id} is the id of a ${before.kind}.`,
      record: record.id,
      path: 'kind',
      found: record.kind,
      expected: before.kind,
    };
  return checkReferences(record, before, scene) ?? checkKind(record, before, scene, get);
}

function checkKind(
  record: SiteRecord,
  before: SiteRecord | undefined,
  scene: Scene,
  get: Scene['get'],
): Problem | null {
  const isNew = before === undefined;
  switch (record.kind) {
    case 'token':
      if (before?.kind === 'token' && before.type !== record.type)
        return {
          code: 'wrong-type',
          message: 'A token keeps its type.',
          record: record.id,
          path: 'type',
          found: record.type,
          expected: before.type,
        };
      return scene.following.check(record.id, isNew);
    case 'role':
      return scene.falling.check(record.id, isNew);
    case 'preset':
      return scene.including.check(record.id, isNew);
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
        checkRebinds(record, before, get) ??
        checkNesting(record, before, scene) ??
        checkAddress(record, scene)
      );
    case 'section':
      return (
        checkRebinds(record, before, get) ??
        checkNesting(record, before, scene) ??
        checkVersion(record, before, scene) ??
        checkWearer(record, get)
      );
    case 'widget':
      return (
        checkNesting(record, before, scene) ??
        checkParentHolds(record, before, scene) ??
        checkWearer(record, get)
      );
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

/** Where some tokens have other values, following them leads neither in a circle nor too far. */
function checkRebinds(
  record: SiteRecord & { rebind: Rebinds },
  before: SiteRecord | undefined,
  get: Scene['get'],
): Problem | null {
  if (before && 'rebind' in before && sameKeysAndValues(before.rebind, record.rebind)) return null;
  const below = longestWays((id: Id) => {
    const rebound = Object.hasOwn(record.rebind, id) ? record.rebind[id] : undefined;
    const token = rebound ? undefined : get(id);
    const value = rebound ?? (token?.kind === 'token' ? token.value : null);
    return value ? tokensIn(value) : [];
  }, LIMITS.following);
  for (const id of Object.keys(record.rebind)) {
    const way = below(id);
    if (way === 'circular') return circle(record.id, id, `rebind.${id}`);
    if (way === 'too-long')
      return tooDeep(record.id, `rebind.${id}`, 'tokens that follow one another', LIMITS.following);
  }
  return null;
}

const sameKeysAndValues = (a: Rebinds, b: Rebinds): boolean => a === b || stableText(a) === stableText(b);

function checkParentHolds(
  record: WidgetRecord,
  before: SiteRecord | undefined,
  { get, childrenNow }: Scene,
): Problem | null {
  const became = before?.kind === 'widget' && before.widget !== record.widget;
  if (became && !maybeElement(record.widget)?.holds && childrenNow(record.id).length > 0)
    return {
      code: 'bad-parent',
      message: `A ${record.widget} holds no widgets.`,
      record: record.id,
      path: 'widget',
      found: record.widget,
      expected: 'a group, or nothing in it',
    };
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
  before: SiteRecord | undefined,
  { get, childrenNow }: Scene,
): Problem | null {
  if (before?.kind === 'section' && before.at.parent === record.at.parent && before.area === record.area)
    return null;
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

function checkWearer(record: NodeRecord, get: Scene['get']): Problem | null {
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

function checkAddress(record: PageRecord, { get, lookup, after, touchedAt }: Scene): Problem | null {
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
  const stored = lookup.pagesAt(record.at.parent, record.path).find(id => !after.has(id));
  const other = get(stored ?? touchedAt(record.at.parent, record.path).find(id => id !== record.id) ?? '');
  return other?.kind === 'page'
    ? {
        code: 'address-taken',
        message: `${other.title} has the address ${record.path} already.`,
        record: record.id,
        path: 'path',
        found: record.path,
        expected: 'an address of its own',
      }
    : null;
}
