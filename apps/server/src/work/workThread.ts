import { Worker } from 'node:worker_threads';
import { LIMITS } from '@cove/core';
import { ProblemException } from '../common/problem';
import { JobLine } from '../line/jobLine';
import type { Answer, Order, ThreadSettings } from './messages';

interface WorkJob {
  job: string;
  args: unknown;
}

/** Thrown where the database ended under a job, as the database's own error would be. */
class DatabaseAway extends Error {
  readonly code = '08006';
}

const tooBusy = () =>
  new ProblemException({
    code: 'too-busy',
    message: 'The server has too much to do just now. Nothing is lost; try again in a moment.',
  });

const tooSlow = () =>
  new ProblemException({
    code: 'too-slow',
    message: `This took longer than ${LIMITS.work.seconds} seconds and was ended. Nothing was changed.`,
  });

/** Megabytes for what a thread has just made; more would be memory that is held and seldom needed. */
const YOUNG_MEGABYTES = 16;

/** Memory that goes to the thread with a job instead of being copied: bytes that have it to themselves. */
const buffersIn = (args: unknown): ArrayBuffer[] =>
  (typeof args === 'object' && args !== null ? Object.values(args) : []).flatMap((it: unknown) =>
    it instanceof Uint8Array && it.buffer instanceof ArrayBuffer && it.buffer.byteLength === it.byteLength
      ? [it.buffer]
      : [],
  );

/** One thread: a job at a time, in the order in which they come, each with an end to its time and memory. */
export class WorkThread {
  private worker: Worker | null = null;
  private readonly line: JobLine<WorkJob, never>;

  constructor(
    private readonly file: URL | string,
    private readonly settings: ThreadSettings,
    /** Seconds after which it is ended where nobody needs it, with the sites it remembers; null where it stays. */
    idleSeconds: number | null,
  ) {
    const { waiting, seconds } = LIMITS.work;
    this.line = new JobLine(
      {
        begin: (number, { job, args }) =>
          this.started().postMessage({ order: number, job, args } satisfies Order, buffersIn(args)),
        end: () => void this.terminate(),
      },
      { waiting, waitingOfKey: waiting / 4, seconds, idleSeconds },
      { tooBusy, tooSlow },
    );
  }

  run(job: string, args: unknown, key: string, signal?: AbortSignal): Promise<never> {
    return this.line.run({ job, args }, key, signal);
  }

  private take({ order, ...answer }: Answer): void {
    if (!this.line.isAt(order)) return;
    if ('result' in answer) this.line.done(answer.result as never);
    else if ('problem' in answer) this.line.failed(new ProblemException(answer.problem));
    else this.line.failed(answer.databaseAway ? new DatabaseAway(answer.failed) : new Error(answer.failed));
  }

  /** Starts it before somebody waits for it. */
  warm(): void {
    this.started();
    this.line.rest();
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(this.file, {
      workerData: this.settings,
      resourceLimits: {
        maxOldGenerationSizeMb: LIMITS.work.memoryMegabytes,
        maxYoungGenerationSizeMb: YOUNG_MEGABYTES,
      },
    });
    worker.on('message', (answer: Answer) => this.take(answer));
    const lost = (error: Error) => {
      if (this.worker === worker) this.line.abandon(error);
    };
    worker.on('error', lost);
    worker.on('exit', code => lost(new Error(`The thread ended (${code}).`)));
    worker.unref();
    this.worker = worker;
    return worker;
  }

  private async terminate(): Promise<void> {
    const { worker } = this;
    this.worker = null;
    await worker?.terminate();
  }

  async end(): Promise<void> {
    await this.terminate();
    this.line.close(new Error('The server is stopping.'));
  }
}
