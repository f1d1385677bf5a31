import type { Response } from 'express';

declare const HOLDS: unique symbol;

/** A value as JSON that was written elsewhere and is sent as it is. */
export type JsonOf<T> = string & { readonly [HOLDS]: T };
/** The same, as the bytes that go out. */
export type JsonBytes<T> = Uint8Array & { readonly [HOLDS]: T };
/** Says that an answer of this type has been sent already. */
export interface Sent<T> {
  readonly [HOLDS]: T;
}

export const toJson = <T>(value: T): JsonOf<T> => JSON.stringify(value) as JsonOf<T>;

/** For text whose writer vouches for what it holds: the database, or a record kept as text. */
export const asJson = <T>(text: string): JsonBytes<T> => new TextEncoder().encode(text) as JsonBytes<T>;

export function sendJson<T>(response: Response, bytes: JsonBytes<T>): Sent<T> {
  response.writeHead(200, { 'content-type': 'application/json; charset=utf-8' });
  response.end(bytes);
  return {} as Sent<T>;
}
