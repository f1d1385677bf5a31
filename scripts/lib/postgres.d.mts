/** Starts a private PostgreSQL below a folder; see postgres.mjs. */
export function startPostgres(
  folder: string,
  options?: { durable?: boolean },
): Promise<{ url: string; stop(): void }>;
export function freePort(): Promise<number>;
export function isFree(port: number): Promise<boolean>;
