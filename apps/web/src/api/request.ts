import type { Problem } from '@cove/core';

/** A failure the server explained. */
export class RequestProblem extends Error {
  constructor(
    readonly problem: Problem,
    readonly status: number,
  ) {
    super(problem.message);
  }
}

const isProblem = (it: unknown): it is Problem =>
  typeof it === 'object' &&
  it !== null &&
  'code' in it &&
  typeof it.code === 'string' &&
  'message' in it &&
  typeof it.message === 'string';

/** Sends JSON, answers JSON. Throws RequestProblem for what the server refused, TypeError when it cannot be reached. */
export async function request<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  const response = await fetch(path, {
    method,
    ...(body !== undefined && {
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    }),
  });
  const text = await response.text();
  const answer: unknown = text === '' ? null : JSON.parse(text);
  if (response.ok) return answer as T;
  throw new RequestProblem(
    isProblem(answer) ? answer : { code: 'failed', message: `The server answered ${response.status}.` },
    response.status,
  );
}

export interface SiteSummary {
  id: string;
  name: string;
  role: 'designer' | 'keeper' | 'reviewer';
  keeperMay: 'content' | 'choice' | 'style';
  /** Where the published site is. */
  address: string;
}

export interface ReleaseSummary {
  id: string;
  number: number;
  seq: number;
  note: string;
  state: 'waiting' | 'making' | 'done' | 'failed';
  done: number;
  total: number;
  problem: string | null;
  createdAt: string;
  live: boolean;
}
export interface Releases {
  unpublished: number;
  releases: readonly ReleaseSummary[];
}
