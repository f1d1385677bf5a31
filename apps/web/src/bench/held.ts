import {
  BUNDLES,
  type Bundle,
  bundleOf,
  type Contribution,
  type Contributions,
  noEffect,
  PROPERTIES,
  type PropertyName,
  type PropertyRow,
  parseSlot,
  type Scope,
  type Site,
  type State,
  stableText,
  threadOf,
  type Value,
  WIDTHS,
  type Width,
  winner,
} from '@cove/core';
import { FACET_NAMES } from './facetNames.ts';

/** What a property holds on the bench. */
export interface Held {
  row: PropertyRow;
  /** What holds now; null where nobody says anything. */
  value: Value | null;
  /** True where it is set on the very subject, in this state and width. */
  knot: boolean;
  /** Other widths at which it is something else. */
  differs: readonly Width[];
  /** How many of the other selected things have something else. */
  varies: number;
  noEffect: string | null;
}

/** A property by itself, or longhands that are shown as one: all of them are there. */
export type Entry =
  | { kind: 'one'; held: Held }
  | { kind: 'bundle'; bundle: Bundle; members: readonly Held[] }
  /** Width, style and colour of a border: of all sides, or of one alone, which is named. */
  | { kind: 'border'; side: string | null; width: BundleEntry; style: BundleEntry; color: BundleEntry };
export type BundleEntry = Extract<Entry, { kind: 'bundle' }>;

/** The text of what all of them hold where it is the same; null where they differ. */
export const commonValue = (members: readonly Held[]): { value: Value | null } | null => {
  const [first] = members;
  if (!first) return null;
  const text = stableText(first.value);
  return members.every(it => stableText(it.value) === text) ? { value: first.value } : null;
};

const BORDER = ['borderWidth', 'borderStyle', 'borderColor'].flatMap(
  name => BUNDLES.find(it => it.name === name) ?? [],
);

/** Puts longhands together where all of a bundle are in a list: in the place of the first. */
export function entriesOf(list: readonly Held[]): Entry[] {
  const byName = new Map(list.map(held => [held.row.name, held] as const));
  const bundled = (bundle: Bundle, names: readonly PropertyName[]): BundleEntry | undefined => {
    const members = names.flatMap(name => byName.get(name) ?? []);
    return members.length === names.length ? { kind: 'bundle', bundle, members } : undefined;
  };
  /** The entry that a longhand is part of; others have one of their own. */
  const entryOf = new Map<PropertyName, Entry>();
  const put = (entry: Entry, members: readonly Held[]) => {
    for (const it of members) if (!entryOf.has(it.row.name)) entryOf.set(it.row.name, entry);
  };
  const borderOf = (side: string | null, names: (bundle: Bundle) => readonly PropertyName[]) => {
    const [width, style, color] = BORDER.map(bundle => bundled(bundle, names(bundle)));
    if (!width || !style || !color) return;
    const entry: Entry = { kind: 'border', side, width, style, color };
    put(entry, [...width.members, ...style.members, ...color.members]);
  };
  borderOf(null, bundle => bundle.members.map(([name]) => name));
  for (const bundle of BUNDLES) {
    const entry = bundled(
      bundle,
      bundle.members.map(([name]) => name),
    );
    if (entry) put(entry, entry.members);
  }
  for (const [at, [, side]] of (BORDER[0]?.members ?? []).entries())
    borderOf(side, bundle => bundle.members.slice(at, at + 1).map(([name]) => name));
  const done = new Set<Entry>();
  return list.flatMap((held): Entry[] => {
    const entry = entryOf.get(held.row.name);
    if (!entry) return [{ kind: 'one', held }];
    if (done.has(entry)) return [];
    done.add(entry);
    return [entry];
  });
}

/** Everything that can be searched for in a property, in lower case. */
const textOf = (row: PropertyRow): string =>
  `${row.label} ${row.css} ${row.name} ${row.words} ${FACET_NAMES[row.facet]} ${bundleOf(row.name)?.label ?? ''}`.toLowerCase();

/** Properties that hold every word, those first whose name begins with the first one. */
export function foundProperties(words: readonly string[]): PropertyRow[] {
  const [first = ''] = words;
  const rank = (row: PropertyRow): number => {
    const label = row.label.toLowerCase();
    const bundle = bundleOf(row.name)?.label.toLowerCase();
    if (label === words.join(' ') || bundle === words.join(' ')) return 0;
    if (label.startsWith(first) || bundle?.startsWith(first)) return 1;
    return label.includes(first) ? 2 : 3;
  };
  return PROPERTIES.filter(row => {
    const text = textOf(row);
    return words.every(word => text.includes(word));
  })
    .map((row, at) => ({ row, rank: rank(row), at }))
    .sort((a, b) => a.rank - b.rank || a.at - b.at)
    .map(it => it.row);
}

/** Whether words ask for one member of a bundle rather than for all of it. */
export const asksForMember = (bundle: Bundle, words: readonly string[]): boolean => {
  const text = `${bundle.label} ${bundle.words} ${bundle.name}`.toLowerCase();
  return words.some(word => !text.includes(word));
};

/** Other widths at which a property comes out otherwise. */
export function differing(
  contributions: Contributions,
  row: PropertyRow,
  state: State,
  width: Width,
): Width[] {
  const list = contributions.get(row.name);
  if (!list || list.every(it => it.width === 'wide')) return [];
  const at = (some: Width) => winner(list, state, some);
  const here = at(width);
  return WIDTHS.filter(
    it => it !== width && stableText(at(it)?.value ?? null) !== stableText(here?.value ?? null),
  );
}

/** How many of other things come out otherwise; what they inherit is not asked about. */
export const varying = (
  others: readonly Contributions[],
  row: PropertyRow,
  state: State,
  width: Width,
  value: Value | null,
): number => {
  if (others.length === 0) return 0;
  const here = stableText(value);
  return others.filter(said => {
    const theirs = winner(said.get(row.name), state, width)?.value ?? (row.inherited ? value : null);
    return stableText(theirs) !== here;
  }).length;
};

/** A preset has no place of its own: what it sets is all there is. */
export function presetContributions(
  site: Site,
  id: string,
  part: string,
): ReadonlyMap<PropertyName, readonly Contribution[]> {
  const found = new Map<PropertyName, Contribution[]>();
  for (const [slot, value] of Object.entries(site.kinds.preset.get(id)?.styles ?? {})) {
    const it = parseSlot(slot);
    if (!it || it.property === 'textStyle' || it.part !== part) continue;
    const list = found.get(it.property) ?? [];
    list.push({
      origin: 'preset',
      record: id,
      slot,
      textStyle: null,
      value,
      on: true,
      state: it.state,
      width: it.width,
      rank: 0,
    });
    found.set(it.property, list);
  }
  return found;
}

/** What is asked of the bench: one part of one record, in a state and at a width. */
export interface AskedOfBench {
  site: Site;
  scope: Scope | null;
  record: string;
  part: string;
  state: State;
  width: Width;
  contributions: Contributions;
  ofOthers: readonly Contributions[];
}

/** What is set here, what the presets say, and what the guide says; and any property that is asked for by name. */
export function heldOnBench(asked: AskedOfBench): {
  here: readonly Held[];
  presets: readonly Held[];
  guide: readonly Held[];
  held(row: PropertyRow): Held;
} {
  const { site, scope, record, part, state, width, contributions, ofOthers } = asked;
  const here: Held[] = [];
  const presets: Held[] = [];
  const guide: Held[] = [];
  const ownOf = (row: PropertyRow) =>
    contributions
      .get(row.name)
      ?.find(it => it.record === record && it.state === state && it.width === width && it.textStyle === null);
  const inherited = (row: PropertyRow): Value | null =>
    row.inherited && scope
      ? (threadOf(site, scope, { part, state, width, property: row.name }).from?.value ?? null)
      : null;
  const make = (row: PropertyRow, value: Value | null, knot: boolean, tellsEffect: boolean): Held => ({
    row,
    value,
    knot,
    differs: differing(contributions, row, state, width),
    varies: varying(ofOthers, row, state, width, value),
    noEffect: tellsEffect ? noEffect(row, { site, scope, part, said: contributions, state, width }) : null,
  });
  for (const row of PROPERTIES) {
    const own = ownOf(row);
    const best = winner(contributions.get(row.name), state, width);
    if (own) here.push(make(row, own.value, true, true));
    else if (best?.origin === 'preset' && scope) presets.push(make(row, best.value, false, false));
    else if (best) guide.push(make(row, best.value, false, false));
    else {
      const value = inherited(row);
      if (value) guide.push(make(row, value, false, false));
    }
  }
  return {
    here,
    presets,
    guide,
    held: row => {
      const own = ownOf(row);
      const value = own?.value ?? winner(contributions.get(row.name), state, width)?.value ?? inherited(row);
      return make(row, value, own !== undefined, true);
    },
  };
}
