import { applyChange, type Site } from '@cove/core';
import { largePage } from '@cove/core/starters';
import { PageCanvas } from '../apps/web/src/canvas/pageCanvas.ts';

interface Bench {
  prepare(cards: number): Promise<number>;
  /** One edit of a swatch by our program: change, canvas, style and layout. */
  ours(n: number): number;
  /** The bare floor on the same document: one property set, style and layout. */
  floor(n: number): number;
}

const RUNS_AHEAD = 2;
let site: Site;
let canvas: PageCanvas;
let frame: HTMLIFrameElement;

const color = (n: number) =>
  ({
    type: 'color',
    value: { space: 'oklch', coords: [0.3 + ((n * 37) % 50) / 100, 0.1, (n * 53) % 360], alpha: 1 },
  }) as const;

/** Style and layout are asked for by reading; what is painted is told apart by the frame that follows. */
function settle(): void {
  const { document } = canvas;
  void document.body.offsetHeight;
  const link = document.querySelector('.feature-link');
  if (link) void document.defaultView?.getComputedStyle(link).color;
}

const bench: Bench = {
  prepare(cards) {
    frame?.remove();
    frame = document.createElement('iframe');
    frame.style.cssText = 'width:1280px;height:900px;border:0';
    frame.sandbox.add('allow-same-origin');
    frame.srcdoc = '<!doctype html><html><head></head><body></body></html>';
    return new Promise(resolve => {
      frame.addEventListener('load', () => {
        const { contentDocument, contentWindow } = frame;
        if (!contentDocument || !contentWindow) return;
        site = largePage(cards);
        canvas = new PageCanvas(
          contentDocument,
          contentWindow as Window & typeof globalThis,
          'bench',
          'home',
        );
        canvas.show(site, null);
        settle();
        for (let i = 0; i < RUNS_AHEAD; i++) bench.ours(i);
        resolve(contentDocument.querySelectorAll('*').length);
      });
      document.body.append(frame);
    });
  },
  ours(n) {
    const began = performance.now();
    const applied = applyChange(site, {
      edits: [{ op: 'set', id: 'rope', path: ['value'], value: color(n) }],
    });
    if (!applied.ok) throw new Error(applied.problem.message);
    site = applied.value.site;
    canvas.show(site, new Set(['rope']));
    settle();
    return performance.now() - began;
  },
  floor(n) {
    const began = performance.now();
    const { space, coords } = color(n).value;
    canvas.document.documentElement.style.setProperty('--t-rope', `${space}(${coords.join(' ')})`);
    settle();
    return performance.now() - began;
  },
};

Object.assign(globalThis, { bench });
