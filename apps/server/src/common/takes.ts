import { applyDecorators, SetMetadata } from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';

/** What the body of a request to a route is, and how many bytes of it are taken at most. */
export type Taken =
  /** JSON, read whole once it is known who asks. */
  | { as: 'json'; bytes: number }
  /** Bytes as they are sent, for the route to read. */
  | { as: 'bytes'; bytes: number }
  /** A file, written to a place of its own before anything looks into it. */
  | { as: 'file'; bytes: number };

export const TAKES = 'takes';

/** For routes that take other or more than a little JSON, which every route does. */
export const Takes = (taken: Taken) => SetMetadata(TAKES, taken);

/** For routes that take a file as it is. */
export const TakesFile = (bytes: number) =>
  applyDecorators(
    Takes({ as: 'file', bytes }),
    ApiConsumes('application/octet-stream'),
    ApiBody({ schema: { type: 'string', format: 'binary' } }),
  );
