import { type Problem, SCHEMA } from '@cove/core';

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

const isProblem = (it: unknown): it is Problem =>
  typeof it === 'object' &&
  it !== null &&
  'code' in it &&
  typeof it.code === 'string' &&
  'message' in it &&
  typeof it.message === 'string';

/** Said by every request: a server of another version would not understand this page, nor this page the server. */
export const OUR_SCHEMA: Readonly<Record<string, string>> = { 'cove-schema': String(SCHEMA) };

/** What the server answered, as JSON; throws what it refused. */
async function answerOf<T>(response: Response): Promise<T> {
  const text = await response.text();
  const answer: unknown = text === '' ? null : JSON.parse(text);
  if (response.ok) return answer as T;
  throw new RequestProblem(
    isProblem(answer) ? answer : { code: 'failed', message: `The server answered ${response.status}.` },
    response.status,
    response.headers.get('x-request-id'),
  );
}

/** Sends JSON, answers JSON. Throws RequestProblem for what the server refused, TypeError when it cannot be reached. */
export async function request<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  const response = await fetch(path, {
    method,
    headers: { ...OUR_SCHEMA, ...(body !== undefined && { 'content-type': 'application/json' }) },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  return answerOf(response);
}

/** Sends a file as it is, answers JSON; one that is too large is refused here. Throws as `request` does. */
export async function sendFile<T>(path: string, file: File, most: number): Promise<T> {
  if (file.size > most)
    throw new RequestProblem(
      {
        code: 'too-large',
        message: `The file has ${megabytes(file.size)} MB. Up to ${megabytes(most)} MB can be uploaded.`,
      },
      413,
    );
  const response = await fetch(path, {
    method: 'POST',
    body: file,
    headers: { ...OUR_SCHEMA, 'content-type': 'application/octet-stream' },
  });
  return answerOf(response);
}

const megabytes = (bytes: number): string => String(Number((bytes / 1024 / 1024).toFixed(1)));

export interface SiteSummary {
  id: string;
  name: string;
  role: 'designer' | 'keeper' | 'reviewer';
  keeperMay: 'content' | 'choice' | 'style';
  /** Where the published site is. */
  address: string;
}
