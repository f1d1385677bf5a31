import type { Problem } from '@cove/core';
import { HttpException } from '@nestjs/common';

const STATUS: Record<string, number> = {
  'not-signed-in': 401,
  'bad-credentials': 401,
  forbidden: 403,
  'bad-origin': 403,
  'not-json': 415,
  'not-found': 404,
  'id-reused': 409,
  'in-use': 409,
  'id-taken': 409,
  busy: 409,
  'last-designer': 409,
  'spent-link': 410,
  'too-many-tries': 429,
  'database-away': 503,
};

/** An expected failure on its way to the answer: its code decides the status. */
export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, STATUS[problem.code] ?? 422);
  }
}

export const notFound = (what: string): ProblemException =>
  new ProblemException({
    code: 'not-found',
    message: `There is no such ${what}, or it is not yours to see.`,
  });
