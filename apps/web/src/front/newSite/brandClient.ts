import type { FromBrand, ToBrand } from './messages.ts';

type Question<T = ToBrand> = T extends ToBrand ? Omit<T, 'ask'> : never;

/** Reads brands and works them out, in a worker of its own. */
export class BrandClient {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, (answer: FromBrand) => void>();
  private asked = 0;

  private started(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(new URL('./brand.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<FromBrand>) => {
      this.waiting.get(data.ask)?.(data);
      this.waiting.delete(data.ask);
    });
    this.worker = worker;
    return worker;
  }

  ask(question: Question): Promise<FromBrand> {
    const ask = ++this.asked;
    return new Promise(resolve => {
      this.waiting.set(ask, resolve);
      this.started().postMessage({ ...question, ask });
    });
  }

  /** Ends the worker; what is asked for after this starts another. */
  close(): void {
    this.worker?.terminate();
    this.worker = null;
    this.waiting.clear();
  }
}
