export { DERIVATIONS, type DerivationRule, derivationNamed } from '../derivations/index.ts';
export { slug, tokenAt, tokenPath, tokensNamed } from '../site/tokenNames.ts';
export {
  boundValue,
  closure,
  findCircular,
  follow,
  isCircular,
  literalOf,
  NO_REBINDS,
  type Rebinds,
  type Step,
  type Tokens,
} from './graph.ts';
export { type PastedSwatch, type PastedSwatches, pasteSwatches } from './pasteSwatches.ts';
export {
  parseDeclarations,
  parsePropertyValue,
  parseTokenValue,
  printTyped,
  shortPath,
  type TypedDeclarations,
} from './text.ts';
export { type DesignTokens, designValue, type Json, OURS, toDesignTokens } from './write.ts';
