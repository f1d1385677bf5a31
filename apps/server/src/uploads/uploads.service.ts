import { type ChildProcess, fork } from 'node:child_process';
import { readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { fail, LIMITS, type Result } from '@cove/core';
import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type { Incoming } from '../common/body.interceptor';
import { Database } from '../common/database';
import { ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { builtPart } from '../config/parts';
import { StoredFiles } from '../storage/storedFiles';
import type { KeptBy, UploadKind } from './keep';
import type { UploadAnswer, UploadOrder } from './messages';

interface Waiting {
  order: UploadOrder;
  resolve(result: Result<KeptBy[UploadKind]>): void;
  reject(error: Error): void;
}

/** Milliseconds between two looks at how much memory the process takes. */
const WATCHED_EVERY = 100;
/** Milliseconds after which a process that nobody needs is ended. */
const IDLE = 60_000;
const PAGE_BYTES = 4096;
/** Milliseconds after which a file that came in belongs to no request any more. */
const LEFT_BEHIND = 60 * 60 * 1000;

const refusal = (message: string) =>
  fail({ code: 'bad-file', message, expected: 'a file that can be read in little time and memory' });

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
  private readonly queue: Waiting[] = [];
  private current: Waiting | null = null;
  private orders = 0;
  private late: NodeJS.Timeout | undefined;
  private watch: NodeJS.Timeout | undefined;
  private idle: NodeJS.Timeout | undefined;

  constructor(
    private readonly config: Config,
    private readonly database: Database,
    private readonly files: StoredFiles,
  ) {}

  /** Takes away what requests have left that were cut off by the end of a process. */
  async onModuleInit(): Promise<void> {
    const folder = join(this.config.COVE_DATA, 'incoming');
    for (const name of await readdir(folder).catch(() => [])) {
      const path = join(folder, name);
      const { mtimeMs } = await stat(path).catch(() => ({ mtimeMs: Date.now() }));
      if (Date.now() - mtimeMs > LEFT_BEHIND) await rm(path, { force: true });
    }
  }

  /** Reads and keeps a file of a site; answers with what a record says of it. Throws what is told to whoever sent it. */
  async keep<K extends UploadKind>(
    kind: K,
    site: string,
    { path }: Incoming,
    name = '',
  ): Promise<KeptBy[K]['facts']> {
    const order: UploadOrder = { order: ++this.orders, kind, site, path, name };
    const result = await this.run(order);
    if (!result.ok) throw new ProblemException(result.problem);
    await this.files.note(this.database.query, site, [
      { ...result.value.stored, digest: Buffer.from(result.value.stored.digest) },
    ]);
    return result.value.facts;
  }

  private run<K extends UploadKind>(order: UploadOrder & { kind: K }): Promise<Result<KeptBy[K]>>;
  private run(order: UploadOrder): Promise<Result<KeptBy[UploadKind]>> {
    if (this.queue.length >= LIMITS.upload.waiting)
      throw new ProblemException({
        code: 'too-busy',
        message: 'Many files are being read just now. Try again in a moment.',
      });
    return new Promise((resolve, reject) => {
      this.queue.push({ order, resolve, reject });
      this.next();
    });
  }

  private next(): void {
    if (this.current) return;
    const next = this.queue.shift();
    clearTimeout(this.idle);
    if (!next) {
      this.idle = setTimeout(() => this.end(), IDLE).unref();
      return;
    }
    this.current = next;
    const { seconds, memoryBytes } = LIMITS.upload;
    const child = this.started();
    this.late = setTimeout(
      () => this.abandon(refusal(`Reading this file took longer than ${seconds} seconds and was ended.`)),
      seconds * 1000,
    );
    this.watch = setInterval(() => {
      memoryOf(child.pid ?? 0).then(bytes => {
        if (bytes > memoryBytes && this.current === next)
          this.abandon(refusal('Reading this file takes too much memory.'));
      });
    }, WATCHED_EVERY);
    child.send(next.order);
  }

  private finish(act: (waiting: Waiting) => void): void {
    const { current } = this;
    clearTimeout(this.late);
    clearInterval(this.watch);
    this.current = null;
    if (current) act(current);
    this.next();
  }

  /** Ends the process with the file it is at; those that wait go to the next one. */
  private abandon(result: Result<KeptBy[UploadKind]>): void {
    this.end();
    this.finish(it => it.resolve(result));
  }

  private end(): void {
    const { child } = this;
    this.child = null;
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
      if (answer.order !== this.current?.order.order) return;
      this.finish(it =>
        'result' in answer ? it.resolve(answer.result) : it.reject(new Error(answer.failed)),
      );
    });
    child.on('exit', (code, signal) => {
      if (this.child !== child) return;
      this.logger.warn(`The process that reads uploads ended (${signal ?? code}).`);
      this.abandon(refusal('This file could not be read: reading it failed.'));
    });
    child.on('error', error => {
      if (this.child === child) this.abandon(refusal(`This file could not be read: ${error.message}`));
    });
    this.child = child;
    return child;
  }

  onModuleDestroy(): void {
    clearTimeout(this.late);
    clearInterval(this.watch);
    clearTimeout(this.idle);
    this.end();
    const ended = new Error('The server is stopping.');
    for (const { reject } of [...(this.current ? [this.current] : []), ...this.queue.splice(0)])
      reject(ended);
    this.current = null;
  }
}
