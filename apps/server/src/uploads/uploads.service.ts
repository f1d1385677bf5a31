import { type ChildProcess, fork } from 'node:child_process';
import { readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { LIMITS, type Result } from '@cove/core';
import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type { Incoming } from '../common/body.interceptor';
import { Database } from '../common/database';
import { ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { builtPart } from '../config/parts';
import { JobLine } from '../line/jobLine';
import { StoredFiles } from '../storage/storedFiles';
import type { UploadAnswer, UploadOrder } from './messages';
import type { KeptBy, LookedInto, ReadBy, UploadKind } from './read';

type UploadJob = Omit<UploadOrder, 'order'>;

/** Milliseconds between two looks at how much memory the process takes. */
const WATCHED_EVERY = 100;
/** Seconds after which a process that nobody needs is ended. */
const IDLE_SECONDS = 60;
const PAGE_BYTES = 4096;
/** Milliseconds after which a file that came in belongs to no request any more. */
const LEFT_BEHIND = 60 * 60 * 1000;

const refusal = (message: string) =>
  new ProblemException({
    code: 'bad-file',
    message,
    expected: 'a file that can be read in little time and memory',
  });

/** Bytes of memory that a process takes; 0 where the system does not say. */
async function memoryOf(pid: number): Promise<number> {
  try {
    const [, resident = '0'] = (await readFile(`/proc/${pid}/statm`, 'utf8')).split(' ');
    return Number(resident) * PAGE_BYTES;
  } catch {
    return 0;
  }
}

/** Has uploads read in a process of their own: one at a time, each with an end to its time and to its memory. */
@Injectable()
export class Uploads implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('Uploads');
  private child: ChildProcess | null = null;
  private watch: NodeJS.Timeout | undefined;
  private readonly line: JobLine<UploadJob, Result<ReadBy[UploadKind]>>;

  constructor(
    private readonly config: Config,
    private readonly database: Database,
    private readonly files: StoredFiles,
  ) {
    const { waiting, seconds } = LIMITS.upload;
    this.line = new JobLine(
      { begin: (number, job) => this.begin({ ...job, order: number }), end: () => this.end() },
      { waiting, waitingOfKey: waiting, seconds, idleSeconds: IDLE_SECONDS },
      {
        tooBusy: () =>
          new ProblemException({
            code: 'too-busy',
            message: 'Many files are being read just now. Try again in a moment.',
          }),
        tooSlow: () => refusal(`Reading this file took longer than ${seconds} seconds and was ended.`),
      },
    );
  }

  /** Takes away what requests have left that were cut off by the end of a process. */
  async onModuleInit(): Promise<void> {
    const folder = join(this.config.COVE_DATA, 'incoming');
    for (const name of await readdir(folder).catch(() => [])) {
      const path = join(folder, name);
      const { mtimeMs } = await stat(path).catch(() => ({ mtimeMs: Date.now() }));
      if (Date.now() - mtimeMs > LEFT_BEHIND) await rm(path, { force: true, recursive: true });
    }
  }

  /** Reads and keeps a file of a site; answers with what a record says of it. Throws what is told to whoever sent it. */
  async keep<K extends keyof KeptBy>(
    kind: K,
    site: string,
    { path }: Incoming,
    name = '',
  ): Promise<KeptBy[K]['facts']> {
    const { stored, facts } = await this.read({ kind, site, path, name });
    await this.files.note(this.database.query, site, [{ ...stored, digest: Buffer.from(stored.digest) }]);
    return facts;
  }

  /** Looks into something that lies at a path. Throws what is told to whoever sent it. */
  lookInto<K extends keyof LookedInto>(kind: K, path: string, name: string): Promise<LookedInto[K]> {
    return this.read({ kind, site: '', path, name });
  }

  private async read<K extends UploadKind>(job: UploadJob & { kind: K }): Promise<ReadBy[K]> {
    const result = await this.run(job);
    if (!result.ok) throw new ProblemException(result.problem);
    return result.value;
  }

  private run<K extends UploadKind>(job: UploadJob & { kind: K }): Promise<Result<ReadBy[K]>>;
  private run(job: UploadJob): Promise<Result<ReadBy[UploadKind]>> {
    return this.line.run(job);
  }

  private begin(order: UploadOrder): void {
    const child = this.started();
    clearInterval(this.watch);
    this.watch = setInterval(() => {
      if (!this.line.isAt(order.order)) {
        clearInterval(this.watch);
        return;
      }
      memoryOf(child.pid ?? 0).then(bytes => {
        if (bytes > LIMITS.upload.memoryBytes && this.line.isAt(order.order))
          this.line.abandon(refusal('Reading this file takes too much memory.'));
      });
    }, WATCHED_EVERY);
    child.send(order);
  }

  private end(): void {
    const { child } = this;
    this.child = null;
    clearInterval(this.watch);
    child?.removeAllListeners();
    child?.kill('SIGKILL');
  }

  private started(): ChildProcess {
    if (this.child) return this.child;
    const child = fork(
      fileURLToPath(builtPart(this.config, 'uploads.process.mjs')),
      [this.config.COVE_DATA],
      {
        serialization: 'advanced',
        execArgv: ['--max-old-space-size=256'],
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      },
    );
    child.on('message', (answer: UploadAnswer) => {
      if (!this.line.isAt(answer.order)) return;
      clearInterval(this.watch);
      if ('result' in answer) this.line.done(answer.result);
      else this.line.failed(new Error(answer.failed));
    });
    child.on('exit', (code, signal) => {
      if (this.child !== child) return;
      this.logger.warn(`The process that reads uploads ended (${signal ?? code}).`);
      this.line.abandon(refusal('This file could not be read: reading it failed.'));
    });
    child.on('error', error => {
      if (this.child === child) this.line.abandon(refusal(`This file could not be read: ${error.message}`));
    });
    this.child = child;
    return child;
  }

  onModuleDestroy(): void {
    this.end();
    this.line.close(new Error('The server is stopping.'));
  }
}
