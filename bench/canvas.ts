import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { head, limit, median, quantile, row } from './statistics.ts';

/** From a swatch's edit to the repainted canvas, beside the bare floor on the same document, run by run in turn. */
const browser = await launchBrowser({ width: 1320, height: 940 });
const page = await browser.newPage();
await page.setContent('<!doctype html><body></body>');
await page.addScriptTag({ content: readFileSync(join(import.meta.dirname, 'inCanvas.js'), 'utf8') });

console.log(head('A swatch edit to the repainted canvas'));
for (const cards of [1000, 5000]) {
  const result = await page.evaluate(async count => {
    const { bench } = globalThis as unknown as {
      bench: { prepare(n: number): Promise<number>; ours(n: number): number; floor(n: number): number };
    };
    const elements = await bench.prepare(count);
    const frame = () =>
      new Promise<number>(resolve =>
        requestAnimationFrame(() => setTimeout(() => resolve(performance.now()))),
      );
    const ours: number[] = [];
    const floor: number[] = [];
    const paint = async (step: (n: number) => number, n: number) => {
      await frame();
      const began = performance.now();
      const script = step(n);
      return Math.max(script, (await frame()) - began);
    };
    for (let i = 0; i < 41; i++) {
      (i % 2 ? ours : floor).push(i % 2 ? bench.ours(i) : bench.floor(i));
      (i % 2 ? floor : ours).push(i % 2 ? bench.floor(i) : bench.ours(i));
    }
    const painted = { ours: [] as number[], floor: [] as number[] };
    for (let i = 0; i < 31; i++) {
      painted.floor.push(await paint(bench.floor, i));
      painted.ours.push(await paint(bench.ours, i));
    }
    return { elements, ours, floor, painted };
  }, cards);
  console.log(
    row(
      `${cards} widgets, ${result.elements} elements: style and layout`,
      median(result.ours),
      median(result.floor),
      1.5,
    ),
  );
  console.log(
    row(
      '  the same, to the end of the painted frame',
      median(result.painted.ours),
      median(result.painted.floor),
      1.5,
    ),
  );
}

const slots = await page.evaluate(async () => {
  const { bench } = globalThis as unknown as {
    bench: { prepareLarge(): Promise<void>; slot(n: number): number };
  };
  await bench.prepareLarge();
  const times: number[] = [];
  for (let i = 0; i < 201; i++) times.push(bench.slot(i));
  return times;
});
console.log(limit('one slot edited on the large demo, call to new rule', median(slots.slice(20)), 2));
console.log(limit('  the same, the slowest of a hundred', quantile(slots.slice(20), 0.99), 2));
const styles = await page.evaluate(async () => {
  const { bench } = globalThis as unknown as {
    bench: { textStyle(n: number): number; textStyleFloor(n: number): number; usedRules(): number };
  };
  const rules = bench.usedRules();
  const ours: number[] = [];
  const floor: number[] = [];
  for (let i = 0; i < 61; i++) {
    ours.push(bench.textStyle(i));
    floor.push(bench.textStyleFloor(i + 4));
  }
  return { rules, ours: ours.slice(10), floor: floor.slice(10) };
});
console.log(
  row(
    `one step of a text style on the large demo, ${styles.rules} rules: style and layout`,
    median(styles.ours),
    median(styles.floor),
    1.5,
  ),
);
await browser.close();
