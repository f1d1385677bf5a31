import { isWellFormed } from '../limits/index.ts';

const MAX_TEXT = 20_000;

export const readPlain = (it: unknown): string | null =>
  typeof it === 'string' && it.length <= MAX_TEXT && isWellFormed(it) ? it : null;
