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

let worker: Worker | null = null;
let last = 0;
const waiting = new Map<number, (answer: SampleAnswer) => void>();

/** Looks at a picture under some texts; the worker keeps it for the next time. */
export function samplePicture(question: Omit<SampleQuestion, 'id'>): Promise<SampleAnswer> {
  if (!worker) {
    worker = new Worker(new URL('./sample.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', (event: MessageEvent<SampleAnswer>) => {
      waiting.get(event.data.id)?.(event.data);
      waiting.delete(event.data.id);
    });
  }
  const id = ++last;
  worker.postMessage({ ...question, id } satisfies SampleQuestion);
  return new Promise(resolve => waiting.set(id, resolve));
}
