export { expand, type Setting } from './expand.ts';
export { fontSizeAt } from './inheritedLength.ts';
export { isSpokenOf, layersBehind, layersInOrder, respondsToPointer, UNMOVED } from './layers.ts';
export {
  compareRanks,
  type OriginName,
  type OriginRanks,
  OVER_RANK,
  PICTURE_RANK,
  PROGRAM_RANK,
  placeBase,
  placeRank,
  type Rank,
  ranksOf,
  stateRank,
  widthRank,
} from './rank.ts';
export { type Contribution, type Contributions, contributionsTo, winner, wordsOf } from './resolve.ts';
export {
  branchOf,
  childScope,
  holderOf,
  mergeRebinds,
  nodeScope,
  pageScope,
  partScope,
  placedScope,
  type Scope,
  specimenScope,
} from './scope.ts';
export {
  overClass,
  pictureClass,
  presetClass,
  presetIn,
  type Source,
  sourcesOf,
  speaksOf,
  stylesOfPicture,
} from './sources.ts';
export { outside, type Spot, scopeBehind } from './spot.ts';
export {
  type Asked,
  computedStyles,
  type Hidden,
  keptElsewhere,
  literalContext,
  printPicture,
  roleValue,
  type Surroundings,
  type Thread,
  threadOf,
  type Via,
  type Why,
} from './thread.ts';
