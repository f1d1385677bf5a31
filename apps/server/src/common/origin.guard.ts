import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { Config } from '../config/config';
import { ProblemException } from './problem';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Requests that alter something must come from our own pages. What they carry is of a type that other pages cannot send
 * unasked, which the reader of bodies sees to.
 */
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
    return true;
  }
}
