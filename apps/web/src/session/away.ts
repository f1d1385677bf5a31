import { RequestProblem } from '../api/requestProblem.ts';

/** Why changes wait. */
export type AwayReason = 'network' | 'database' | 'signed-out' | 'not-a-member' | 'renewed' | 'failing';

/** Why a change could not be sent; null where the server has answered, and refused it. */
export function awayReason(error: unknown): AwayReason | null {
  if (!(error instanceof RequestProblem)) return 'network';
  if (error.status === 401) return 'signed-out';
  if (error.status === 404) return 'not-a-member';
  if (error.problem.code === 'database-away') return 'database';
  if (error.problem.code === 'renewed') return 'renewed';
  return error.status >= 500 ? 'failing' : null;
}
