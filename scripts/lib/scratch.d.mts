import type { ChildProcess } from 'node:child_process';

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
  readonly database: { url: string; stop(): unknown };
  startOne(more?: Record<string, string>): Promise<ScratchServer>;
  restartDatabase(): Promise<void>;
  end(): Promise<void>;
}
export function startScratch(options?: {
  durable?: boolean;
  environment?: Record<string, string>;
}): Promise<Scratch>;
