export { expand, type Setting } from './expand.ts';
export {
  compareRanks,
  defaultRank,
  type OriginName,
  OWN_RANK,
  PROGRAM_RANK,
  placeBase,
  placeRank,
  presetRank,
  type Rank,
  stateRank,
  variantRank,
  widthRank,
} from './rank.ts';
export { type Contribution, type Contributions, contributionsTo, winner } from './resolve.ts';
export {
  branchOf,
  childScope,
  mergeRebinds,
  nodeScope,
  pageScope,
  placedScope,
  type Scope,
  specimenScope,
} from './scope.ts';
export { type Source, sourcesOf, speaksOf } from './sources.ts';
export {
  type Asked,
  computedStyles,
  type Hidden,
  keptElsewhere,
  literalContext,
  outside,
  printPicture,
  roleValue,
  type Surroundings,
  type Thread,
  threadOf,
  type Via,
  type Why,
} from './thread.ts';
