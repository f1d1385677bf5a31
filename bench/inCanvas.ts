import { applyChange, type Site } from '@cove/core';
import { largePage, tolvaneLarge } from '@cove/core/starters';
import { PageCanvas } from '../apps/web/src/canvas/pageCanvas.ts';

interface Bench {
  prepare(cards: number): Promise<number>;
  /** One edit of a swatch by our program: change, canvas, style and layout. */
  ours(n: number): number;
  /** The bare floor on the same document: one property set, style and layout. */
  floor(n: number): number;
  /** Shows the first page of the large demo. */
  prepareLarge(): Promise<void>;
  /** One slot of a widget on it, from the edit to the new rule; style and layout are the browser’s. */
  slot(n: number): number;
  /** One step of the size of a text style on it, with style and layout; how many rules it alters is told by `usedRules`. */
  textStyle(n: number): number;
  /** The bare floor: that size set in the rules that the step alters, and nothing else. */
  textStyleFloor(n: number): number;
  usedRules(): number;
}

const RUNS_AHEAD = 2;
let site: Site;
let canvas: PageCanvas;
let frame: HTMLIFrameElement;
/** A heading of the large demo. */
let heading = '';

/** The text style of running text. */
const TEXT_STYLE = 'style-text';
let used: CSSStyleRule[] = [];

const isStyleRule = (rule: CSSRule): rule is CSSStyleRule => 'selectorText' in rule;
const innerRules = (rule: CSSRule): CSSStyleRule[] =>
  isStyleRule(rule)
    ? [rule]
    : 'cssRules' in rule
      ? [...(rule as CSSGroupingRule).cssRules].flatMap(innerRules)
      : [];
const styleRules = (): CSSStyleRule[] =>
  canvas.document.adoptedStyleSheets.flatMap(sheet => [...sheet.cssRules].flatMap(innerRules));

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

/** Shows a site’s first page in a new frame. */
async function show(shown: Site): Promise<void> {
  frame?.remove();
  frame = document.createElement('iframe');
  frame.style.cssText = 'width:1280px;height:900px;border:0';
  frame.sandbox.add('allow-same-origin');
  frame.srcdoc = '<!doctype html><html><head></head><body></body></html>';
  await new Promise<void>(resolve => {
    frame.addEventListener('load', () => resolve());
    document.body.append(frame);
  });
  const { contentDocument, contentWindow } = frame;
  if (!contentDocument || !contentWindow) throw new Error('no frame');
  site = shown;
  canvas = new PageCanvas(contentDocument, contentWindow as Window & typeof globalThis, 'bench', 'home');
  canvas.show(site, null);
  settle();
}

const bench: Bench = {
  async prepare(cards) {
    await show(largePage(cards));
    for (let i = 0; i < RUNS_AHEAD; i++) bench.ours(i);
    return canvas.document.querySelectorAll('*').length;
  },
  async prepareLarge() {
    await show(tolvaneLarge(() => 'abcdef0123456789.webp'));
    const found = canvas.document.querySelector<HTMLElement>('main [data-node] h2[data-part]');
    heading = found?.closest<HTMLElement>('[data-node]')?.dataset.node ?? '';
  },
  slot(n) {
    const began = performance.now();
    const applied = applyChange(site, {
      edits: [
        {
          op: 'set',
          id: heading,
          path: ['styles', 'text/letterSpacing'],
          value: { type: 'dimension', value: { value: n / 1000, unit: 'em' } },
        },
      ],
    });
    if (!applied.ok) throw new Error(applied.problem.message);
    site = applied.value.site;
    canvas.show(site, new Set([heading]));
    return performance.now() - began;
  },
  textStyle(n) {
    const began = performance.now();
    const value = { type: 'dimension', value: { value: 20 + (n % 9), unit: 'px' } } as const;
    const applied = applyChange(site, {
      edits: [{ op: 'set', id: TEXT_STYLE, path: ['styles', '/fontSize'], value }],
    });
    if (!applied.ok) throw new Error(applied.problem.message);
    site = applied.value.site;
    canvas.show(site, new Set([TEXT_STYLE]));
    settle();
    return performance.now() - began;
  },
  textStyleFloor(n) {
    const began = performance.now();
    for (const { style } of used) style.setProperty('font-size', `${20 + (n % 9)}px`);
    settle();
    return performance.now() - began;
  },
  usedRules() {
    const before = new Map(styleRules().map(rule => [rule, rule.cssText]));
    bench.textStyle(1);
    bench.textStyle(2);
    used = styleRules().filter(rule => before.get(rule) !== rule.cssText);
    return used.length;
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
