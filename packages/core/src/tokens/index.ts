export { type DerivationRule, derivationNamed, DERIVATIONS } from './derivations/index.ts';
export { closure, follow, isCircular, literalOf, NO_REBINDS, type Rebinds, type Step, type Tokens, valueOf } from './graph.ts';
export { toDesignTokens } from './dtcg.ts';
export { slug, tokenAt, tokenPath } from './names.ts';
export { parseDeclarations, parsePropertyValue, parseTokenValue, printTyped } from './text.ts';
