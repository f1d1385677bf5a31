export interface Postgres {
  url: string;
  /** Whether somebody else had started it. */
  wasRunning: boolean;
  stop(): void;
  /** Ends it and all its processes at once, with nothing written. */
  kill(): Promise<void>;
}
/** Starts a private PostgreSQL below a folder; see postgres.mjs. */
export function startPostgres(folder: string, options?: { durable?: boolean }): Promise<Postgres>;
export function freePort(): Promise<number>;
export function isFree(port: number): Promise<boolean>;
