import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';

const RUNS = new Set(['FunctionCall', 'EventDispatch', 'FireAnimationFrame', 'TimerFire']);

/**
 * The longest run of our script in ms on the thread that draws, while something is done and until all that follows from it
 * is done too. Workers are left out: nobody waits for them.
 */
export async function longestScript(page: Page, act: () => Promise<void>): Promise<number> {
  const trace = join(tmpdir(), `cove-trace-${process.pid}.json`);
  await page.tracing.start({ path: trace, categories: ['devtools.timeline'] });
  await act();
  await new Promise(resolve => setTimeout(resolve, 800));
  await page.tracing.stop();
  const { traceEvents } = JSON.parse(readFileSync(trace, 'utf8')) as {
    traceEvents: { name: string; pid: number; tid: number; dur?: number; args?: { name?: string } }[];
  };
  rmSync(trace);
  const threadOf = (it: { pid: number; tid: number }) => `${it.pid} ${it.tid}`;
  const drawing = new Set(
    traceEvents.filter(it => it.name === 'thread_name' && it.args?.name === 'CrRendererMain').map(threadOf),
  );
  return Math.max(
    0,
    ...traceEvents
      .filter(it => drawing.has(threadOf(it)) && RUNS.has(it.name))
      .map(it => (it.dur ?? 0) / 1000),
  );
}
