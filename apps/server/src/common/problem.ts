import type { Problem } from '@cove/core';

const STATUS: Record<string, number> = {
  'not-signed-in': 401,
  'bad-credentials': 401,
  forbidden: 403,
  'bad-origin': 403,
  'wrong-type': 415,
  'wrong-host': 421,
  'too-large': 413,
  'bad-request': 400,
  'bad-json': 400,
  'bad-text': 400,
  'not-found': 404,
  'id-reused': 409,
  'in-use': 409,
  'id-taken': 409,
  busy: 409,
  'last-designer': 409,
  'spent-link': 410,
  'too-many-tries': 429,
  'no-answer': 502,
  'database-away': 503,
  'too-busy': 503,
  'too-slow': 503,
  renewed: 503,
  'not-upgraded': 503,
};

const statusOf = (code: string): number => (Object.hasOwn(STATUS, code) ? STATUS[code] : undefined) ?? 422;

/**
 * An expected failure on its way to the answer: its code decides the status. It is none of the framework’s exceptions, since
 * threads throw it as well and loading the framework takes them 400 ms.
 */
export class ProblemException extends Error {
  readonly status: number;

  constructor(readonly problem: Problem) {
    super(problem.message);
    this.status = statusOf(problem.code);
  }
}

export const notFound = (what: string): ProblemException =>
  new ProblemException({
    code: 'not-found',
    message: `There is no such ${what}, or it is not yours to see.`,
  });
