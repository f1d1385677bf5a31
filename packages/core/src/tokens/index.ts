export { DERIVATIONS, type DerivationRule, derivationNamed } from './derivations/index.ts';
export { toDesignTokens } from './dtcg.ts';
export {
  boundValue,
  closure,
  follow,
  isCircular,
  literalOf,
  NO_REBINDS,
  type Rebinds,
  type Step,
  type Tokens,
} from './graph.ts';
export { slug, tokenAt, tokenPath } from './names.ts';
export { parseDeclarations, parsePropertyValue, parseTokenValue, printTyped } from './text.ts';
