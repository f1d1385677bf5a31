import type { TokenType } from '../values/index.ts';
import type { Id, Kind } from './records.ts';

/** One mention of a record by another, and what may stand there. */
export interface Reference {
  path: string;
  to: Id;
  kinds: readonly Kind[];
  /** Where a token is asked for: the types that fit. */
  types?: readonly TokenType[];
}
