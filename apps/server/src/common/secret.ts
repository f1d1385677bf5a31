import { createHash, randomBytes } from 'node:crypto';

/** What a cookie or a link holds: 256 random bits. */
export const newSecret = (): string => randomBytes(32).toString('base64url');

/** What is stored of a secret, so that the tables alone open nothing. */
export const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest();
