import { Worker } from 'node:worker_threads';
import type { PublishedSite } from '@cove/core';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { notFound } from '../common/problem';
import { Config } from '../config/config';
import type { Rendered, RenderOrder } from './render.worker';

interface Waiting {
  resolve(value: { seq: number; published: PublishedSite }): void;
  reject(error: Error): void;
}

/** Renders whole sites in a thread of its own, so that nobody’s request waits for a hundred pages. */
@Injectable()
export class Renderer implements OnModuleDestroy {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, Waiting>();
  private orders = 0;

  constructor(private readonly config: Config) {}

  /** A site as it is now, as plain files, and the number of its last change. */
  render(site: string): Promise<{ seq: number; published: PublishedSite }> {
    const order: RenderOrder = { order: ++this.orders, site };
    return new Promise((resolve, reject) => {
      this.waiting.set(order.order, { resolve, reject });
      this.started().postMessage(order);
    });
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const file = this.config.COVE_RENDERER || new URL('./render.worker.mjs', import.meta.url);
    const worker = new Worker(file, { workerData: this.config.COVE_DATABASE_URL });
    worker.on('message', ({ order, ...it }: Rendered) => {
      const waiting = this.waiting.get(order);
      this.waiting.delete(order);
      if ('published' in it) waiting?.resolve(it);
      else waiting?.reject('missing' in it ? notFound('site') : new Error(it.failed));
    });
    const ended = (error: Error) => {
      if (this.worker === worker) this.worker = null;
      for (const { reject } of this.waiting.values()) reject(error);
      this.waiting.clear();
    };
    worker.on('error', ended);
    worker.on('exit', code => ended(new Error(`The renderer ended (${code}).`)));
    worker.unref();
    this.worker = worker;
    return worker;
  }

  async onModuleDestroy(): Promise<void> {
    await this.worker?.terminate();
  }
}
