import { isWellFormed } from '../limits/index.ts';

/** Characters of words that stand by themselves, such as a title. */
const MAX_TEXT = 20_000;
/** Characters of words within running text: a chapter that somebody pasted as one paragraph. */
export const MAX_RUN = 200_000;

export const readPlain = (it: unknown, most = MAX_TEXT): string | null =>
  typeof it === 'string' && it.length <= most && isWellFormed(it) ? it : null;
