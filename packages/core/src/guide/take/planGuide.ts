import type { Edit } from '../../site/change.ts';
import { fieldEdits } from '../../site/difference.ts';
import { editOf, putRecord, removeRecord } from '../../site/editOf.ts';
import { newId } from '../../site/id.ts';
import type { Foundation } from '../../site/kinds/foundation.ts';
import { type Kind, kindNamed, type RecordMap } from '../../site/kinds/index.ts';
import type { GuideNames } from '../../site/kinds/recordKind.ts';
import { foundationOf } from '../../site/named.ts';
import { byOrder } from '../../site/order.ts';
import { placedId } from '../../site/place.ts';
import type { Id, SchemeRecord, SiteRecord } from '../../site/records.ts';
import { referencesOf } from '../../site/references.ts';
import { allRecords, getRecord, type Site, settingsOf } from '../../site/site.ts';
import { stableText } from '../../site/stableText.ts';
import { tokenPath } from '../../site/tokenNames.ts';
import { type GuideData, type GuideRecord, isGuideRecord, isOwned } from './guideData.ts';
import { withIds } from './withIds.ts';

/** One record that taking a guide would alter. */
export interface GuidePart {
  /** Id in the site. */
  id: Id;
  kind: GuideRecord['kind'];
  name: string;
  change: 'new' | 'altered' | 'goes';
  before: GuideRecord | null;
  after: GuideRecord | null;
}

export interface GuidePlan {
  parts: readonly GuidePart[];
  /** Records of the site's own guide that stay, since something on the pages names them. */
  kept: readonly Id[];
  /** What the guide says of the site as a whole, under the site's ids. */
  settings: readonly Edit[];
  /** Schemes that go, and what is worn instead. */
  reworn: ReadonlyMap<Id, Id>;
}

const keyed = <K extends Kind>(kind: K, record: RecordMap[K], names: GuideNames): string | null =>
  kindNamed(kind).guide?.key(record, names) ?? null;
const titled = <K extends Kind>(kind: K, record: RecordMap[K]): string =>
  kindNamed(kind).guide?.title(record) ?? record.id;

function keysOf(records: Iterable<GuideRecord>): Map<string, Id> {
  const all = [...records];
  const tokens = new Map(all.flatMap(it => (it.kind === 'token' ? [[it.id, it] as const] : [])));
  const byId = new Map(all.map(it => [it.id, it]));
  const names: GuideNames = {
    token: id => tokenPath(tokens, id),
    variant(id) {
      const it = byId.get(id);
      return it?.kind === 'variant' ? `${it.element} ${it.axis} ${it.name.toLowerCase()}` : id;
    },
  };
  const keys = new Map<string, Id>();
  for (const record of all) {
    const key = keyed(record.kind, record, names);
    if (key !== null && !keys.has(key)) keys.set(key, record.id);
  }
  return keys;
}

const schemesOf = (records: readonly GuideRecord[], first: Id): SchemeRecord[] =>
  records
    .filter(it => it.kind === 'scheme')
    .sort((a, b) => Number(b.id === first) - Number(a.id === first) || byOrder(a, b));

/** The scheme of the guide whose face is asked for, to be the site's; then the others of that face, then the rest. */
export function facedSchemes(guide: GuideData, face: SchemeRecord['face'] | null): SchemeRecord[] {
  const list = schemesOf(guide.records, guide.settings.defaultScheme);
  return face === null ? list : list.sort((a, b) => Number(b.face === face) - Number(a.face === face));
}

const same = (a: unknown, b: unknown): boolean => stableText(a) === stableText(b);

/**
 * What taking a guide would alter, record by record. What has the same name in both keeps its id in the site, so that every
 * override and choice on the pages goes on naming it; schemes are matched by their order, the site's own first. What only
 * the site has goes, unless something that stays names it or it belongs to the brand.
 */
export function planGuide(site: Site, guide: GuideData, face: SchemeRecord['face'] | null = null): GuidePlan {
  const own = [...allRecords(site)].filter(isGuideRecord);
  const ownKeys = keysOf(own);
  const ids = new Map<Id, Id>();
  // A guide that left this very site, or the same one, is known by its ids.
  for (const { id, kind } of guide.records) if (getRecord(site, id)?.kind === kind) ids.set(id, id);
  const takenIds = new Set(ids.values());
  const match = (id: Id, there: Id | undefined) => {
    if (there === undefined || ids.has(id) || takenIds.has(there)) return;
    ids.set(id, there);
    takenIds.add(there);
  };
  for (const [key, id] of keysOf(guide.records)) match(id, ownKeys.get(key));
  const theirs = facedSchemes(guide, face);
  const ours = schemesOf(own, settingsOf(site).defaultScheme);
  const free = ours.filter(it => !takenIds.has(it.id));
  for (const [i, scheme] of theirs.filter(it => !ids.has(it.id)).entries()) match(scheme.id, free[i]?.id);
  for (const { id, kind } of guide.records) {
    if (ids.has(id) || kind === 'default' || kind === 'variantRule' || kind === 'role') continue;
    const fresh = !getRecord(site, id) && !takenIds.has(id) ? id : newId(id.charAt(0));
    ids.set(id, fresh);
    takenIds.add(fresh);
  }
  const rename = (id: Id): Id => ids.get(id) ?? id;

  // Their order is that of the face asked for.
  const orders = theirs.map(it => it.order).sort();
  const reordered = new Map(theirs.map((it, i) => [it.id, { ...it, order: orders[i] ?? it.order }]));
  const after = new Map<Id, GuideRecord>();
  for (const record of guide.records) {
    const renamed = withIds(record.kind === 'scheme' ? (reordered.get(record.id) ?? record) : record, rename);
    if (isGuideRecord(renamed)) after.set(renamed.id, renamed);
  }

  const parts: GuidePart[] = [];
  for (const record of after.values()) {
    const there = getRecord(site, record.id);
    const before = there && isGuideRecord(there) && there.kind === record.kind ? there : null;
    if (before && same(before, record)) continue;
    parts.push({
      id: record.id,
      kind: record.kind,
      name: titled(record.kind, record),
      change: before ? 'altered' : 'new',
      before,
      after: record,
    });
  }

  const reworn = new Map<Id, Id>();
  const lastOf = (wanted: SchemeRecord['face']) =>
    theirs.filter(it => it.face === wanted).at(-1) ?? theirs.at(-1);
  for (const scheme of ours.filter(it => !takenIds.has(it.id))) {
    const to = lastOf(scheme.face);
    if (to) reworn.set(scheme.id, rename(to.id));
  }

  // What nothing names any more goes; naming is followed from the pages and from what the guide brings.
  const unread = new Set(guide.unread);
  const leftover = new Map(
    own.filter(it => !after.has(it.id) && !isOwned(it) && !unread.has(it.id)).map(it => [it.id, it]),
  );
  const kept = new Set<Id>();
  const follow = (record: SiteRecord) => {
    for (const { to } of referencesOf(record)) {
      const target = leftover.get(to);
      if (!target || kept.has(to) || reworn.has(to)) continue;
      kept.add(to);
      follow(target);
    }
  };
  for (const record of allRecords(site))
    if ((!isGuideRecord(record) || isOwned(record) || unread.has(record.id)) && record.kind !== 'settings')
      follow(record);
  for (const record of after.values()) follow(record);
  for (const record of leftover.values()) {
    const stays =
      (record.kind === 'default' || record.kind === 'variantRule') &&
      (record.place?.type === 'page' || record.place?.type === 'branch' || record.place?.type === 'section');
    if (!stays) continue;
    kept.add(record.id);
    follow(record);
  }
  for (const [id, record] of leftover)
    if (!kept.has(id))
      parts.push({
        id,
        kind: record.kind,
        name: titled(record.kind, record),
        change: 'goes',
        before: record,
        after: null,
      });

  const { defaultScheme, textBase, textRatio, ...numbers } = guide.settings;
  const first = theirs[0]?.id ?? defaultScheme;
  const now = settingsOf(site);
  const wanted = {
    ...now,
    ...numbers,
    defaultScheme: rename(first),
    textBase: rename(textBase),
    textRatio: rename(textRatio),
  };
  return { parts, kept: [...kept], settings: fieldEdits(now, wanted), reworn };
}

/** The foundation with which a part can be taken alone; null for one that only goes, which goes with the whole guide. */
export const takeableFoundation = (site: Site, { after }: GuidePart): Foundation | null =>
  after && foundationOf(site, after);

/** Edits that carry out a plan, or the chosen parts of it. Parts alone leave what goes and the site's settings as they are. */
export function takeGuide(site: Site, plan: GuidePlan, chosen?: ReadonlySet<Id>): Edit[] {
  const puts: Edit[] = [];
  const sets: Edit[] = [];
  const removes: Edit[] = [];
  const wanted = chosen && withNeeded(plan, chosen, site);
  for (const { id, before, after } of plan.parts) {
    if (wanted && !wanted.has(id)) continue;
    if (!after) {
      if (!wanted && !plan.reworn.has(id)) removes.push(removeRecord(id));
    } else if (!before) puts.push(putRecord(after));
    else sets.push(...fieldEdits(before, after));
  }
  if (wanted) return [...puts, ...sets];
  const reworn = [...plan.reworn].flatMap(([from, to]): Edit[] => [
    ...[...site.kinds.section.values(), ...site.kinds.page.values()]
      .filter(it => it.scheme === from)
      .map((it): Edit => editOf(it).set('scheme', to)),
    ...[...site.kinds.default.values(), ...site.kinds.variantRule.values()]
      .filter(it => it.place?.type === 'scheme' && it.place.scheme === from)
      .filter(it => !removes.some(edit => edit.op === 'remove' && edit.id === placedId(it)))
      .map((it): Edit => removeRecord(it.id)),
    // A preset that stays says no more what holds in its place in a scheme that goes; one that is altered says what theirs does.
    ...[...site.kinds.preset.values()]
      .filter(it => Object.hasOwn(it.instead ?? {}, from) && plan.kept.includes(it.id))
      .map((it): Edit => editOf(it).unsetIn('instead', from)),
    removeRecord(from),
  ]);
  return [...puts, ...sets, ...plan.settings, ...removes, ...reworn];
}

/** The chosen parts, and new ones that they name in turn. */
function withNeeded(plan: GuidePlan, chosen: ReadonlySet<Id>, site: Site): ReadonlySet<Id> {
  const byId = new Map(plan.parts.map(it => [it.id, it]));
  const needed = new Set(chosen);
  for (const id of needed) {
    const record = byId.get(id)?.after;
    for (const { to } of record ? referencesOf(record) : [])
      if (byId.get(to)?.change === 'new' && !getRecord(site, to)) needed.add(to);
  }
  return needed;
}
