import { type IntervalHistogram, monitorEventLoopDelay } from 'node:perf_hooks';
import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';

/** Seconds between two looks. */
const EVERY = 10;
/** Milliseconds for which nothing else could be done that are worth a word. */
const NOTED = 200;

/** Watches how long the server cannot do anything else, and says so where that is long. */
@Injectable()
export class LoopWatch implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('Loop');
  private readonly delays: IntervalHistogram = monitorEventLoopDelay({ resolution: 20 });
  private timer: NodeJS.Timeout | undefined;

  onModuleInit(): void {
    this.delays.enable();
    this.timer = setInterval(() => this.look(), EVERY * 1000).unref();
  }

  private look(): void {
    const ms = (nanoseconds: number) => Math.round(nanoseconds / 1e6);
    const [longest, usual] = [ms(this.delays.max), ms(this.delays.percentile(99))];
    if (longest >= NOTED)
      this.logger.warn(
        `The event loop was held up for ${longest} ms at most, ${usual} ms at the 99th percentile.`,
      );
    this.delays.reset();
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
    this.delays.disable();
  }
}
