export type { Noticed, SourceFile, SourcePlace } from './draft.ts';
export { type Incoming, type IncomingItem, type IncomingScheme, incomingTokens } from './incoming.ts';
export { readTokens } from './read.ts';
