export { expand, type Setting } from './expand.ts';
export { compareRanks, OWN_RANK, type OriginName, placeRank, type Rank, stateRank, widthRank } from './rank.ts';
export { type Contribution, type Contributions, contributionsTo, winner } from './resolve.ts';
export { childScope, nodeScope, pageScope, type Scope, specimenScope } from './scope.ts';
export { type Source, sourcesOf } from './sources.ts';
export { type Asked, computedStyles, type Hidden, keptElsewhere, literalContext, roleValue, type Thread, threadOf, type Via, type Why } from './thread.ts';
