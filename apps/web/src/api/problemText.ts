import { RequestProblem } from './requestProblem.ts';

/** What to tell of a failed request. */
export const problemText = (error: unknown): string =>
  error instanceof RequestProblem ? error.message : 'The server cannot be reached. Try again.';
