import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { Config } from '../config/config';
import { ProblemException } from './problem';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Requests that alter something must come from our own pages and carry JSON. */
@Injectable()
export class OriginGuard implements CanActivate {
  constructor(private readonly config: Config) {}

  canActivate(context: ExecutionContext): boolean {
    const request = context.switchToHttp().getRequest<Request>();
    if (SAFE.has(request.method)) return true;
    if (request.headers.origin !== this.config.COVE_ORIGIN)
      throw new ProblemException({
        code: 'bad-origin',
        message: 'This request did not come from the program.',
        found: request.headers.origin ?? 'none',
        expected: this.config.COVE_ORIGIN,
      });
    if (!request.is('application/json') && Number(request.headers['content-length'] ?? 0) > 0)
      throw new ProblemException({ code: 'not-json', message: 'Send JSON.', expected: 'application/json' });
    return true;
  }
}
