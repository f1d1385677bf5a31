import type { PropertyName } from '../properties/index.ts';
import type { Id, Site } from '../site/index.ts';
import { type Slot, type State, WIDTHS, type Width } from '../slots/index.ts';
import type { Value } from '../values/index.ts';
import { presetNamesOf } from '../widgets/index.ts';
import { expand } from './expand.ts';
import { compareRanks, type OriginName, type Rank, stateHolds, widthHolds } from './rank.ts';
import { partScope, type Scope } from './scope.ts';
import { sourcesOf } from './sources.ts';

/** One value that has a say on a property of a part. */
export interface Contribution extends Rank {
  origin: OriginName;
  /** The record it is written in; null for the program. */
  record: Id | null;
  slot: Slot;
  textStyle: Id | null;
  value: Value;
  /** False for what a preset says while it is switched off. */
  on: boolean;
}

export type Contributions = ReadonlyMap<PropertyName, readonly Contribution[]>;

/** All that is said about a part, in every state and width, by property, lowest rank first. */
export function contributionsTo(site: Site, scope: Scope, part: string): Contributions {
  const names = presetNamesOf(scope.element, part);
  const found = new Map<PropertyName, Contribution[]>();
  for (const { origin, record, rank, on, byKind, styles, from } of sourcesOf(site, partScope(scope, part))) {
    for (const setting of expand(site, styles)) {
      if (byKind ? !names.includes(setting.part) : setting.part !== part) continue;
      const { state, width, property, value, slot, textStyle } = setting;
      const entry = {
        origin,
        record: from?.get(slot) ?? record,
        rank,
        on,
        state,
        width,
        value,
        slot,
        textStyle,
      };
      const list = found.get(property);
      if (list) list.push(entry);
      else found.set(property, [entry]);
    }
  }
  for (const list of found.values()) list.sort(compareRanks);
  return found;
}

export const applies = (it: Contribution, state: State, width: Width): boolean =>
  stateHolds(it.state, state) && widthHolds(it.width, width);

/** Who wins in a state at a width; null where nobody says anything. */
export const winner = (
  list: readonly Contribution[] | undefined,
  state: State,
  width: Width,
): Contribution | null => list?.findLast(it => it.on && applies(it, state, width)) ?? null;

/** The words that hold for a property at one width or another, at rest. */
export function wordsOf(site: Site, scope: Scope, part: string, property: PropertyName): string[] {
  const said = contributionsTo(site, scope, part).get(property);
  return WIDTHS.flatMap(width => {
    const value = winner(said, 'rest', width)?.value;
    return value?.type === 'keyword' ? [value.value] : [];
  });
}
