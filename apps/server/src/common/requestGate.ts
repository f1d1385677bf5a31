import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Problem } from '@cove/core';
import { isWellFormed } from '@cove/core';
import type { NextFunction, Request, Response } from 'express';
import type { Config } from '../config/config';

export type IdentifiedRequest = IncomingMessage & { id?: unknown };

/** Names a request: the log tells it by this, and so does the message that somebody sees. */
export function requestId(_: IncomingMessage, response: ServerResponse): string {
  const id = randomUUID().slice(0, 8);
  response.setHeader('x-request-id', id);
  return id;
}

const refuse = (response: Response, status: number, problem: Problem): void => {
  response.status(status).json(problem);
};

/** What a request can say of itself outside its body; the first thing in it that cannot be, by name. */
function unreadable(request: Request): string | null {
  let path: string;
  try {
    path = decodeURIComponent(request.path);
  } catch {
    return 'the path';
  }
  if (!isWellFormed(path)) return 'the path';
  const query = request.url.slice(request.path.length);
  for (const pair of query.replace(/^\?/, '').split('&')) {
    const [name = '', value = ''] = pair.split('=', 2);
    try {
      if (isWellFormed(decodeURIComponent(`${name} ${value}`.replaceAll('+', ' ')))) continue;
    } catch {
      // As unreadable as what follows says.
    }
    return `query ${name.slice(0, 40).replace(/[^\w.-]/g, '') || 'names'}`;
  }
  return null;
}

const PRIVATE = /^\/api(\/|$)/;

/**
 * What holds for every request before anything looks further: it is meant for us, it can be read, and whatever comes of it
 * carries the headers that keep it safe. A name of somebody else's that leads to this machine finds nothing here.
 */
export function requestGate(config: Config) {
  const host = new URL(config.COVE_ORIGIN).host;
  const isSecure = config.COVE_ORIGIN.startsWith('https:');
  return (request: Request, response: Response, next: NextFunction): void => {
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'same-origin');
    response.setHeader('cross-origin-resource-policy', 'same-origin');
    response.setHeader('x-frame-options', 'SAMEORIGIN');
    response.setHeader('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
    if (isSecure) response.setHeader('strict-transport-security', 'max-age=31536000');
    if (PRIVATE.test(request.path)) response.setHeader('cache-control', 'no-store');
    if (request.headers.host !== host) {
      refuse(response, 421, {
        code: 'wrong-host',
        message: `The program is at ${config.COVE_ORIGIN}.`,
        found: String(request.headers.host ?? 'no host').slice(0, 100),
        expected: host,
      });
      return;
    }
    const wrong = unreadable(request);
    if (wrong !== null) {
      refuse(response, 400, {
        code: 'bad-request',
        message: `${wrong} cannot be read: it is not well-formed text.`,
        path: wrong,
      });
      return;
    }
    next();
  };
}
