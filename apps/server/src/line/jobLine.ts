/** Somebody who does one job at a time: a thread, or a process of its own. */
export interface Doer<Job> {
  /** Begins a job under a number, which its answer bears. */
  begin(number: number, job: Job): void;
  /** Ends whoever is at it, with what they are at. They are started anew when there is something to do. */
  end(): void;
}

export interface LineLimits {
  /** Jobs that wait, at most, and those of one key. */
  waiting: number;
  waitingOfKey: number;
  /** Seconds of one job. */
  seconds: number;
  /** Seconds after which whoever does them is ended where nobody needs them; null where they stay. */
  idleSeconds: number | null;
}

/** What is told where something comes of a job other than its result. */
export interface LineErrors {
  tooBusy(): Error;
  tooSlow(): Error;
}

interface Waiting<Job, Result> {
  job: Job;
  key: string;
  resolve(result: Result): void;
  reject(error: Error): void;
}

/** Jobs in the order in which they come, each with an end to its time; nobody’s fill the whole line. */
export class JobLine<Job, Result> {
  private readonly queue: Waiting<Job, Result>[] = [];
  private readonly waitingOf = new Map<string, number>();
  private current: Waiting<Job, Result> | null = null;
  private number = 0;
  private late: NodeJS.Timeout | undefined;
  private idle: NodeJS.Timeout | undefined;

  constructor(
    private readonly doer: Doer<Job>,
    private readonly limits: LineLimits,
    private readonly errors: LineErrors,
  ) {}

  /** Has a job done; `key` says whose it is. Where its signal is given, it is ended wherever it is. */
  run(job: Job, key = '', signal?: AbortSignal): Promise<Result> {
    const waiting = this.waitingOf.get(key) ?? 0;
    if (signal?.aborted) return Promise.reject(signal.reason);
    if (this.queue.length >= this.limits.waiting || waiting >= this.limits.waitingOfKey)
      return Promise.reject(this.errors.tooBusy());
    let withdraw = () => {};
    const result = new Promise<Result>((resolve, reject) => {
      const it = { job, key, resolve, reject };
      withdraw = () => this.withdraw(it, signal?.reason);
      this.waitingOf.set(key, waiting + 1);
      this.queue.push(it);
      this.next();
    });
    signal?.addEventListener('abort', withdraw);
    return result.finally(() => signal?.removeEventListener('abort', withdraw));
  }

  private withdraw(it: Waiting<Job, Result>, reason: Error): void {
    if (it === this.current) {
      this.abandon(reason);
      return;
    }
    this.queue.splice(this.queue.indexOf(it), 1);
    this.leave(it);
    it.reject(reason);
  }

  /** One fewer of its key is on the way. */
  private leave({ key }: Waiting<Job, Result>): void {
    const left = (this.waitingOf.get(key) ?? 1) - 1;
    if (left > 0) this.waitingOf.set(key, left);
    else this.waitingOf.delete(key);
  }

  private next(): void {
    if (this.current) return;
    const next = this.queue.shift();
    clearTimeout(this.idle);
    if (!next) {
      this.rest();
      return;
    }
    this.current = next;
    this.late = setTimeout(() => this.abandon(this.errors.tooSlow()), this.limits.seconds * 1000).unref();
    this.doer.begin(++this.number, next.job);
  }

  /** Whoever does them is ended some time after this where nobody needs them until then. */
  rest(): void {
    const { idleSeconds } = this.limits;
    clearTimeout(this.idle);
    if (idleSeconds !== null && !this.current)
      this.idle = setTimeout(() => this.doer.end(), idleSeconds * 1000).unref();
  }

  /** Whether a number is that of the job that is being done: of one that was given up nobody waits for an answer. */
  isAt(number: number): boolean {
    return this.current !== null && number === this.number;
  }

  done(result: Result): void {
    this.finish(it => it.resolve(result));
  }

  failed(error: Error): void {
    this.finish(it => it.reject(error));
  }

  /** Gives the job up, and ends whoever is at it; those that wait go on with somebody new. */
  abandon(error: Error): void {
    this.doer.end();
    this.failed(error);
  }

  private finish(act: (it: Waiting<Job, Result>) => void): void {
    const { current } = this;
    clearTimeout(this.late);
    this.current = null;
    if (current) {
      this.leave(current);
      act(current);
    }
    this.next();
  }

  /** Gives up all that is waited for. */
  close(error: Error): void {
    clearTimeout(this.late);
    clearTimeout(this.idle);
    const all = [...(this.current ? [this.current] : []), ...this.queue.splice(0)];
    this.current = null;
    for (const { reject } of all) reject(error);
  }
}
