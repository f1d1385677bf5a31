import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect } from '@jest/globals';
import type { Page } from 'puppeteer-core';

declare global {
  var coveSeeFailure: ((test: string) => Promise<void>) | undefined;
}

const FOLDER = fileURLToPath(new URL('../failures', import.meta.url));
/** What was done, said and asked for on a page is kept as far back as this. */
const KEPT = 400;

interface Watched {
  page: Page;
  /** Lines with the moment at which each was, oldest first. */
  trace: string[];
}

const watched: Watched[] = [];

/** Notes what is done to a page, what it says and what it asks for, to be seen where a test fails. */
export function watchPage(page: Page): (line: string) => void {
  const trace: string[] = [];
  const note = (line: string) => {
    trace.push(`${new Date().toISOString().slice(11, 23)} ${line}`);
    if (trace.length > KEPT) trace.shift();
  };
  page.on('console', message => note(`console ${message.type()}: ${message.text()}`));
  page.on('pageerror', error => note(`error: ${String(error)}`));
  page.on('response', response => {
    const { url } = { url: response.url() };
    if (url.includes('/api/'))
      note(
        `${response.status()} ${response.request().method()} ${url} ${response.headers()['x-request-id'] ?? ''}`,
      );
  });
  page.on('requestfailed', request => note(`failed ${request.method()} ${request.url()}`));
  watched.push({ page, trace });
  return note;
}

globalThis.coveSeeFailure = async test => {
  const file = expect.getState().testPath?.split('/').at(-1)?.replace('.test.ts', '') ?? 'test';
  const folder = join(FOLDER, `${file} ${test}`.replace(/[^\w]+/g, '-').slice(0, 120));
  mkdirSync(folder, { recursive: true });
  for (const [i, { page, trace }] of watched.entries()) {
    writeFileSync(join(folder, `page-${i + 1}.txt`), `${page.url()}\n${trace.join('\n')}\n`);
    if (page.isClosed()) continue;
    await page
      .screenshot({ path: join(folder, `page-${i + 1}.png`) })
      .catch((error: Error) => trace.push(`no picture: ${error.message}`));
  }
  process.stderr.write(`What was to be seen: ${folder}\n`);
};
