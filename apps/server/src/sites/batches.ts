interface Waiting<Job, Answer> {
  job: Job;
  resolve(answer: Answer): void;
  reject(error: unknown): void;
}

/**
 * Jobs of one key run in the order in which they come, and those that come while others run make up the next batch. So
 * what a batch costs once, such as waiting for a disk, is paid once for all that are in it.
 */
export class Batches<Job, Answer> {
  private readonly queues = new Map<string, Waiting<Job, Answer>[]>();

  /** `run` answers its jobs in their order; `most` is how many it is given at once. */
  constructor(
    private readonly run: (jobs: readonly Job[]) => Promise<readonly Answer[]>,
    private readonly most: number,
  ) {}

  add(key: string, job: Job): Promise<Answer> {
    return new Promise((resolve, reject) => {
      const queue = this.queues.get(key);
      if (queue) queue.push({ job, resolve, reject });
      else {
        const first = [{ job, resolve, reject }];
        this.queues.set(key, first);
        void this.drain(first).finally(() => this.queues.delete(key));
      }
    });
  }

  private async drain(queue: Waiting<Job, Answer>[]): Promise<void> {
    while (queue.length > 0) await this.runOne(queue.splice(0, this.most));
  }

  private async runOne(batch: readonly Waiting<Job, Answer>[]): Promise<void> {
    try {
      const answers = await this.run(batch.map(({ job }) => job));
      for (const [i, answer] of answers.entries()) batch[i]?.resolve(answer);
    } catch (error) {
      // One that fails must not take the others with it.
      if (batch.length > 1) for (const one of batch) await this.runOne([one]);
      else batch[0]?.reject(error);
    }
  }
}
