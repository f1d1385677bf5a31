import type { Problem } from '@cove/core';

/** A failure the server explained. */
export class RequestProblem extends Error {
  constructor(
    readonly problem: Problem,
    readonly status: number,
    /** The name under which the server’s log knows the request. */
    readonly request: string | null = null,
  ) {
    super(problem.message);
  }
}
