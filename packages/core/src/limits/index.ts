export { type ChangeBudget, LIMITS } from './limits.ts';
export { nestsTooDeep } from './nestsTooDeep.ts';
export { endOfString, type JsonBudget, type JsonCount, scanJson } from './scanJson.ts';
export { isWellFormed, mayHoldUnstorable, storable, unstorableIn } from './storable.ts';
export { tooLong } from './tooLong.ts';
