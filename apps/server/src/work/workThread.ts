import { Worker } from 'node:worker_threads';
import { LIMITS } from '@cove/core';
import { ProblemException } from '../common/problem';
import type { Answer, Order, ThreadSettings } from './messages';

interface Waiting {
  job: string;
  args: unknown;
  /** Whose it is, so that nobody's jobs fill the whole queue. */
  key: string;
  resolve(result: never): void;
  reject(error: Error): void;
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
  private readonly queue: Waiting[] = [];
  private readonly waitingOf = new Map<string, number>();
  private current: Waiting | null = null;
  private orders = 0;
  private late: NodeJS.Timeout | undefined;
  private idle: NodeJS.Timeout | undefined;

  constructor(
    private readonly file: URL | string,
    private readonly settings: ThreadSettings,
    /** Seconds after which it is ended where nobody needs it, with the sites it remembers; null where it stays. */
    private readonly idleSeconds: number | null,
  ) {}

  run(job: string, args: unknown, key: string): Promise<never> {
    const waiting = this.waitingOf.get(key) ?? 0;
    if (this.queue.length >= LIMITS.work.waiting || waiting >= LIMITS.work.waiting / 4)
      return Promise.reject(tooBusy());
    return new Promise((resolve, reject) => {
      this.waitingOf.set(key, waiting + 1);
      this.queue.push({ job, args, key, resolve, reject });
      this.next();
    });
  }

  private next(): void {
    if (this.current) return;
    const next = this.queue.shift();
    clearTimeout(this.idle);
    if (!next) {
      if (this.idleSeconds !== null)
        this.idle = setTimeout(() => void this.end(), this.idleSeconds * 1000).unref();
      return;
    }
    this.current = next;
    const order: Order = { order: ++this.orders, job: next.job, args: next.args };
    this.late = setTimeout(() => this.abandon(tooSlow()), LIMITS.work.seconds * 1000).unref();
    this.started().postMessage(order, buffersIn(next.args));
  }

  private finish(act: (job: Waiting) => void): void {
    const job = this.current;
    clearTimeout(this.late);
    this.current = null;
    if (job) {
      const left = (this.waitingOf.get(job.key) ?? 1) - 1;
      if (left > 0) this.waitingOf.set(job.key, left);
      else this.waitingOf.delete(job.key);
      act(job);
    }
    this.next();
  }

  private heard({ order, ...answer }: Answer): void {
    // Of a job that was given up nobody waits for an answer.
    if (order !== this.orders || !this.current) return;
    this.finish(job => {
      if ('result' in answer) job.resolve(answer.result as never);
      else if ('problem' in answer) job.reject(new ProblemException(answer.problem));
      else job.reject(answer.databaseAway ? new DatabaseAway(answer.failed) : new Error(answer.failed));
    });
  }

  /** Ends the thread with the job it is at; those that wait go to the next one. */
  private abandon(error: Error): void {
    const { worker } = this;
    this.worker = null;
    void worker?.terminate();
    this.finish(job => job.reject(error));
  }

  /** Starts it before somebody waits for it. */
  warm(): void {
    this.started();
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
    worker.on('message', (answer: Answer) => this.heard(answer));
    const lost = (error: Error) => {
      if (this.worker === worker) this.abandon(error);
    };
    worker.on('error', lost);
    worker.on('exit', code => lost(new Error(`The thread ended (${code}).`)));
    worker.unref();
    this.worker = worker;
    return worker;
  }

  async end(): Promise<void> {
    const { worker } = this;
    this.worker = null;
    clearTimeout(this.idle);
    clearTimeout(this.late);
    await worker?.terminate();
    const ended = new Error('The server is stopping.');
    this.current?.reject(ended);
    for (const { reject } of this.queue.splice(0)) reject(ended);
    this.current = null;
  }
}
