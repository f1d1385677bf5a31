import type { ChildProcess } from 'node:child_process';
import type { Postgres } from './postgres.mjs';

export interface ScratchServer {
  address: string;
  sites: string;
  readonly child: ChildProcess;
  restart(): Promise<void>;
  stop(): Promise<void>;
}
export interface Scratch {
  folder: string;
  program: ScratchServer;
  readonly database: Postgres;
  startOne(more?: Record<string, string>): Promise<ScratchServer>;
  restartDatabase(): Promise<void>;
  end(): Promise<void>;
}
export function startScratch(options?: {
  durable?: boolean;
  environment?: Record<string, string>;
  copyOf?: { folder: string; url: string } | null;
}): Promise<Scratch>;
