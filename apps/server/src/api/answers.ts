import { applyDecorators, Header, HttpCode, type Type } from '@nestjs/common';
import { ApiResponse } from '@nestjs/swagger';
import { type CoreTypeName, type CoreTypes, coreRef } from './coreTypes';
import type { JsonOf, Sent } from './json';

/** What a route’s method may answer with where its answer is said to be a T. */
type AnswerOf<T> = T | JsonOf<T> | Sent<T>;
type Handler<T> = (...sent: never[]) => AnswerOf<T> | Promise<AnswerOf<T>>;

/** A decorator that only fits methods which answer with what it declares. */
type Declares<T> = <M extends Handler<T>>(
  target: object,
  name: string,
  method: TypedPropertyDescriptor<M>,
) => void;

const JSON_TYPE = 'application/json; charset=utf-8';

/** The status of an answer where it is not 200. */
interface AnswerOptions {
  status?: number;
}

/** Declares what a route answers with. */
export const Answers = <T>(type: Type<T>, { status = 200 }: AnswerOptions = {}): Declares<T> =>
  applyDecorators(HttpCode(status), Header('content-type', JSON_TYPE), ApiResponse({ status, type }));

/** Declares a list. */
export const AnswersList = <T>(type: Type<T>): Declares<readonly T[]> =>
  applyDecorators(
    HttpCode(200),
    Header('content-type', JSON_TYPE),
    ApiResponse({ status: 200, type, isArray: true }),
  );

/** Declares a type of the core. */
export const AnswersCore = <N extends CoreTypeName>(name: N): Declares<CoreTypes[N]> =>
  applyDecorators(
    HttpCode(200),
    Header('content-type', JSON_TYPE),
    ApiResponse({ status: 200, schema: coreRef(name) }),
  );

/** Declares that a route says no more than that it is done. */
export const AnswersNothing = (): Declares<void> =>
  applyDecorators(HttpCode(204), ApiResponse({ status: 204, description: 'Done' }));

/** Declares bytes of a media type, which the route sends itself. */
export const AnswersFile = (mediaType: string) =>
  ApiResponse({
    status: 200,
    content: { [mediaType]: { schema: { type: 'string', format: 'binary' } } },
  });

/** Declares a page. */
export const AnswersPage = () =>
  applyDecorators(
    Header('content-type', 'text/html; charset=utf-8'),
    ApiResponse({ status: 200, content: { 'text/html': { schema: { type: 'string' } } } }),
  );
