import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { Config } from '../config/config';
import { builtPart } from '../config/parts';
import { type JobArguments, type JobName, type JobResult, type Lane, Lanes } from './job';
import { WorkThread } from './workThread';

/** Does what takes whole sites, or longer than a request may hold others up, in two threads beside those that answer. */
@Injectable()
export class Workshop implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly threads: Readonly<Record<Lane, WorkThread>>;

  constructor(
    config: Config,
    private readonly lanes: Lanes,
  ) {
    const file = builtPart(config, 'work.worker.mjs');
    const settings = { databaseUrl: config.COVE_DATABASE_URL, dataFolder: config.COVE_DATA };
    // What takes long comes seldom and leaves much memory behind, so its thread is started anew when it is needed.
    this.threads = {
      quick: new WorkThread(file, settings, null),
      long: new WorkThread(file, settings, 10),
    };
  }

  onApplicationBootstrap(): void {
    this.threads.quick.warm();
  }

  /** `args.site`, where there is one, says whose job it is. One that its signal ends leaves nothing in the database. */
  run<N extends JobName>(job: N, args: JobArguments<N>, signal?: AbortSignal): Promise<JobResult<N>> {
    const key = 'site' in args && typeof args.site === 'string' ? args.site : '';
    return this.threads[this.lanes.of(job)].run(job, args, key, signal);
  }

  /** Starts the thread of a job that will be asked for in a moment. */
  expect(job: JobName): void {
    this.threads[this.lanes.of(job)].warm();
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all(Object.values(this.threads).map(it => it.end()));
  }
}
