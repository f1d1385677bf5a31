import type { Place } from '../site/index.ts';
import { STATES, type State, WIDTHS, type Width } from '../slots/index.ts';
import type { Scope } from './scope.ts';

export type OriginName = 'program' | 'picture' | 'default' | 'variant' | 'preset' | 'own';

/**
 * Who set a value, as one number: the nearer the higher.
 *
 * | origin | number | why it stands there |
 * |---|---|---|
 * | program | 0 | what holds when nobody said anything |
 * | picture | 50 | what a picture brings along wherever it is shown: its focus |
 * | default of an item | 100 + place | the guide's word on every such item, whatever holds it |
 * | default | 1,000 + place | the guide's word on every such element |
 * | variant | 2,000 + 1,000 × axis + place | chosen for this one, from the guide; axes in the order the element declares |
 * | preset | 100,000 + position | put on by hand; later over earlier |
 * | program, of a header over the first section | 150,000 | lets that show through, whatever the guide puts behind headers |
 * | own | 200,000 | set on this very element |
 *
 * What a holder says of its items' parts has the rank that it has on the holder itself. What is chosen for or set on one
 * item is nearer than all of that, so its variants, presets and own values stand 1,000,000 higher.
 *
 * A rule for a place stands where the rule stands that it sets again, above it by its place:
 * site < kind of page < branch (the deeper the nearer) < page < area < scheme < section < long-form text.
 */
export type OriginRank = number;

const PLACES: readonly Place['type'][] = [
  'pageKind',
  'branch',
  'page',
  'area',
  'scheme',
  'section',
  'longForm',
];

/** Rank of a place wherever it holds; `depth` is how many pages stand above that of a branch. */
export const placeBase = (place: Place | null, depth: number): number =>
  place === null ? 0 : (PLACES.indexOf(place.type) + 1) * 100 + (place.type === 'branch' ? depth : 0);

/** 0 for the whole site; null where the place does not hold in this scope. */
export function placeRank(place: Place | null, scope: Scope): number | null {
  if (place === null) return 0;
  const rank = placeBase(place, 0);
  switch (place.type) {
    case 'pageKind':
      return scope.page && scope.pageKind === place.pageKind ? rank : null;
    case 'branch': {
      const depth = scope.branch.indexOf(place.page);
      return depth < 0 ? null : placeBase(place, depth);
    }
    case 'page':
      return scope.page?.id === place.page ? rank : null;
    case 'area':
      return scope.page && scope.area === place.area ? rank : null;
    case 'scheme':
      return scope.scheme === place.scheme ? rank : null;
    case 'section':
      return scope.section?.id === place.section ? rank : null;
    case 'longForm':
      return scope.longForm ? rank : null;
  }
}

export const PROGRAM_RANK: OriginRank = 0;
export const PICTURE_RANK: OriginRank = 50;
export const OVER_RANK: OriginRank = 150_000;

/** Ranks of what is said of one element. */
export interface OriginRanks {
  default(place: number): OriginRank;
  variant(axis: number, place: number): OriginRank;
  preset(position: number): OriginRank;
  readonly own: OriginRank;
}
const nearer = (by: number, least: number): OriginRanks => ({
  default: place => least + place,
  variant: (axis, place) => by + 2000 + axis * 1000 + place,
  preset: position => by + 100_000 + position,
  own: by + 200_000,
});
const USUAL = nearer(0, 1000);
const OF_ITEM = nearer(1_000_000, 100);

export const ranksOf = (item: boolean): OriginRanks => (item ? OF_ITEM : USUAL);

/** Who speaks: of an item its own default, its holder, or the item itself; of anything else always the same. */
export const speakerOf = (rank: OriginRank): number => (rank < 1000 ? 0 : rank < 1_000_000 ? 1 : 2);

/** The more particular situation wins, then the nearer origin. */
export interface Rank {
  state: State;
  width: Width;
  /** Of its origin. */
  rank: OriginRank;
}

export const stateRank = (state: State): number => STATES.indexOf(state);
export const widthRank = (width: Width): number => WIDTHS.indexOf(width);

export const compareRanks = (a: Rank, b: Rank): number =>
  stateRank(a.state) - stateRank(b.state) || widthRank(a.width) - widthRank(b.width) || a.rank - b.rank;

/** A value set at one width holds there and below. */
export const widthHolds = (set: Width, at: Width): boolean => widthRank(set) <= widthRank(at);
/** States do not combine: a value holds at rest and in its own state. */
export const stateHolds = (set: State, at: State): boolean => set === 'rest' || set === at;
