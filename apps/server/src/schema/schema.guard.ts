import { FIRST_SCHEMA, SCHEMA } from '@cove/core';
import { type CanActivate, type ExecutionContext, Injectable, SetMetadata } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { ProblemException } from '../common/problem';
import { RENEWED } from './schemaProblem';

const CARRIES_RECORDS = 'carriesRecords';

/** Says that a route takes or answers records: a request that bears no number of a schema is held to be of the first. */
export const CarriesRecords = () => SetMetadata(CARRIES_RECORDS, true);

/** What a request says of its schema: a header, or, where none can be sent, a part of the query; null for nothing. */
function schemaOf({ headers, query }: Request): number | null {
  const given = headers['cove-schema'] ?? query.schema;
  if (given === undefined) return null;
  if (typeof given !== 'string' || !/^\d{1,6}$/.test(given))
    throw new ProblemException({
      code: 'bad-request',
      message: 'cove-schema: expected the number of a schema.',
      path: 'cove-schema',
      expected: String(SCHEMA),
    });
  return Number(given);
}

/** Turns away pages that an earlier version of the program has made: they would not understand what they are answered. */
@Injectable()
export class SchemaGuard implements CanActivate {
  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    const carries = this.reflector.getAllAndOverride<boolean | undefined>(CARRIES_RECORDS, [
      context.getHandler(),
      context.getClass(),
    ]);
    const schema =
      schemaOf(context.switchToHttp().getRequest<Request>()) ?? (carries ? FIRST_SCHEMA : SCHEMA);
    if (schema !== SCHEMA) throw new ProblemException(RENEWED);
    return true;
  }
}
