import type { Area2D, Color } from '@cove/core';

/** Texts over one picture, and the colour that is, or would be, laid between them. */
export interface SampleQuestion {
  id: number;
  url: string;
  texts: readonly {
    /** What of the picture lies under it, in the picture's px. */
    under: Area2D;
    /** How large that shows, in px of the page. */
    shown: { width: number; height: number };
    color: Color;
    wanted: number;
  }[];
  tint: Color | null;
  share: number;
}
export interface SampledText {
  ratio: number;
  wanted: number;
  /** The least share of the tint that lets it be read; null where none does. */
  least: number | null;
}
export interface SampleAnswer {
  id: number;
  /** Null where the picture could not be read. */
  texts: readonly SampledText[] | null;
}

/** Looks at pictures under texts, in a worker that keeps those it has read. */
export class PictureSampler {
  private worker: Worker | null = null;
  private last = 0;
  private readonly waiting = new Map<number, (answer: SampleAnswer) => void>();

  sample(question: Omit<SampleQuestion, 'id'>): Promise<SampleAnswer> {
    const id = ++this.last;
    this.started().postMessage({ ...question, id } satisfies SampleQuestion);
    return new Promise(resolve => this.waiting.set(id, resolve));
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(new URL('./sample.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<SampleAnswer>) => {
      this.waiting.get(data.id)?.(data);
      this.waiting.delete(data.id);
    });
    this.worker = worker;
    return worker;
  }

  /** Ends the worker; what is asked for after this starts another. */
  close(): void {
    this.worker?.terminate();
    this.worker = null;
    this.waiting.clear();
  }
}
