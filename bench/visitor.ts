import { SCHEMA } from '@cove/core';

/** Somebody who is signed in as the demo’s designer, without a browser. */
export async function visitor(address: string) {
  let cookie = '';
  const raw = (method: string, path: string, body?: object): Promise<Response> =>
    fetch(address + path, {
      method,
      headers: {
        cookie,
        'cove-schema': String(SCHEMA),
        origin: address,
        ...(body && { 'content-type': 'application/json' }),
      },
      ...(body && { body: JSON.stringify(body) }),
    });
  const send = async <T>(method: string, path: string, body?: object): Promise<T> => {
    const response = await raw(method, path, body);
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
    return response.json();
  };
  const entered = await raw('POST', '/api/demo/session', {});
  cookie = entered.headers.getSetCookie()[0]?.split(';')[0] ?? '';
  return { cookie, raw, send, read: <T>(path: string) => send<T>('GET', path) };
}
