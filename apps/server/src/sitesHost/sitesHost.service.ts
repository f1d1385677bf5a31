import { type ChildProcess, fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { Config } from '../config/config';
import { builtPart } from '../config/parts';
import type { SitesProcessSettings } from './sites.process';

type HostMessage = { port: number } | { failed: string };

/** Milliseconds before a process that ended by itself is started again. */
const AGAIN = 500;

/** Keeps the process that serves the published sites running. */
@Injectable()
export class SitesHost implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger('Sites');
  private child: ChildProcess | null = null;
  private again: NodeJS.Timeout | undefined;
  /** Port it listens on, which differs from the one configured where that is 0. */
  port = 0;

  constructor(private readonly config: Config) {}

  async onApplicationBootstrap(): Promise<void> {
    this.port = await this.start(this.config.COVE_SITES_PORT);
  }

  private start(port: number): Promise<number> {
    const { COVE_SITES_ORIGIN, COVE_ORIGIN, COVE_DATABASE_URL, COVE_DATA } = this.config;
    const origin = new URL(COVE_SITES_ORIGIN);
    const settings: SitesProcessSettings = {
      databaseUrl: COVE_DATABASE_URL,
      dataFolder: COVE_DATA,
      port,
      host: origin.host,
      program: COVE_ORIGIN,
      secure: origin.protocol === 'https:',
    };
    const child = fork(fileURLToPath(builtPart(this.config, 'sites.process.mjs')), {
      execArgv: ['--max-old-space-size=128'],
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    this.child = child;
    child.send(settings);
    return new Promise((resolve, reject) => {
      let isUp = false;
      child.on('message', (message: HostMessage) => {
        if ('failed' in message)
          return reject(new Error(`Published sites cannot be served: ${message.failed}`));
        isUp = true;
        resolve(message.port);
      });
      child.on('exit', (code, signal) => {
        if (this.child !== child) return;
        this.child = null;
        if (!isUp) return reject(new Error(`The process of the published sites ended (${signal ?? code}).`));
        this.logger.error(`The process of the published sites ended (${signal ?? code}); starting it again.`);
        this.again = setTimeout(() => {
          this.start(this.port).catch((error: Error) => this.logger.error(error.message));
        }, AGAIN);
      });
    });
  }

  async onModuleDestroy(): Promise<void> {
    clearTimeout(this.again);
    const { child } = this;
    this.child = null;
    if (!child || child.exitCode !== null) return;
    await new Promise<void>(resolve => {
      child.once('exit', () => resolve());
      child.disconnect();
      setTimeout(() => child.kill('SIGKILL'), 2000).unref();
    });
  }
}
