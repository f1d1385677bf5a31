import { type Problem, SCHEMA } from '@cove/core';
import createClient from 'openapi-fetch';
import { RequestProblem } from './requestProblem.ts';
import type { components, paths } from './server.ts';

/** What the server takes and answers, by the names it gives them. */
export type Dto = components['schemas'];

const isProblem = (it: unknown): it is Problem =>
  typeof it === 'object' &&
  it !== null &&
  'code' in it &&
  typeof it.code === 'string' &&
  'message' in it &&
  typeof it.message === 'string';

/** What an answer says of itself; one that is no JSON of ours came from something in between. */
async function problemIn(response: Response): Promise<Problem> {
  try {
    const said: unknown = JSON.parse(await response.text());
    if (isProblem(said)) return said;
  } catch {
    // As below.
  }
  return { code: 'failed', message: `The server answered ${response.status}.` };
}

/**
 * The server, as it describes itself. Every request says of which schema this page is: a server of another version would not
 * understand it. Whatever is refused is thrown as a RequestProblem; a TypeError says that the server cannot be reached.
 */
export const server = createClient<paths>({
  baseUrl: globalThis.location?.origin ?? '',
  headers: { 'cove-schema': String(SCHEMA) },
  fetch: request => fetch(request),
});
server.use({
  async onResponse({ response }) {
    if (!response.ok)
      throw new RequestProblem(
        await problemIn(response),
        response.status,
        response.headers.get('x-request-id'),
      );
  },
});

/** What the server answered. */
export async function answer<T>(
  call: Promise<{ data: T; error?: never } | { data?: never; error: Problem }>,
): Promise<T> {
  const answered = await call;
  // What is refused has been thrown before this; the types do not know that.
  if (answered.error !== undefined) throw new Error('an answer that was refused');
  return answered.data;
}
