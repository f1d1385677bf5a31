import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';

/** The longest run of our script in ms while something is done, and until all that follows from it is done too. */
export async function longestScript(page: Page, act: () => Promise<void>): Promise<number> {
  const trace = join(tmpdir(), `cove-trace-${process.pid}.json`);
  await page.tracing.start({ path: trace, categories: ['devtools.timeline'] });
  await act();
  await new Promise(resolve => setTimeout(resolve, 800));
  await page.tracing.stop();
  const { traceEvents } = JSON.parse(readFileSync(trace, 'utf8')) as {
    traceEvents: { name: string; dur?: number }[];
  };
  rmSync(trace);
  return Math.max(
    0,
    ...traceEvents
      .filter(it => ['FunctionCall', 'EventDispatch', 'FireAnimationFrame', 'TimerFire'].includes(it.name))
      .map(it => (it.dur ?? 0) / 1000),
  );
}
