import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { ROOT } from '../scripts/lib/paths.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { head, limit, median } from './statistics';

/** Opening the large demo in a browser whose cache is empty, on loopback. */
const scratch = await startScratch({ environment: { COVE_DEMO: 'large', COVE_LOG_LEVEL: 'silent' } });
const { address } = scratch.program;
const browser = await launchBrowser({ width: 1280, height: 800 });

/** From the address to a page one can click in; and how much script came, compressed, until then. */
async function open(): Promise<{ ms: number; bytes: number }> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.goto(address);
  await page.evaluate(() =>
    fetch('/api/demo/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
    }),
  );
  const cdp = await page.createCDPSession();
  await cdp.send('Network.enable');
  await cdp.send('Network.setCacheDisabled', { cacheDisabled: true });
  const scripts = new Set<string>();
  let bytes = 0;
  cdp.on('Network.responseReceived', ({ requestId, response }) => {
    if (response.mimeType.includes('javascript')) scripts.add(requestId);
  });
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  const began = performance.now();
  await page.goto(`${address}/sites/tolvane-large/pages`, { waitUntil: 'domcontentloaded' });
  const handle = await page.waitForSelector('iframe[title=Page]');
  const frame = await handle?.contentFrame();
  await frame?.waitForSelector('main [data-node] [data-part]');
  await page.waitForSelector('[role=treeitem]');
  const ms = performance.now() - began;
  await context.close();
  return { ms, bytes };
}

await open();
const opened = [await open(), await open(), await open(), await open(), await open()];
console.log(head('Opening the large demo in the browser'));
console.log(limit('first page to be clicked in', median(opened.map(it => it.ms)), 2000));
const assets = join(ROOT, 'apps/web/dist/assets');
const compressed = (name: RegExp) =>
  readdirSync(assets)
    .filter(it => name.test(it))
    .map(it => ({
      name: it.split('-')[0] ?? it,
      kb: gzipSync(readFileSync(join(assets, it))).length / 1024,
    }));
for (const { kb } of compressed(/^index-.*\.js$/)) console.log(limit('first script', kb, 250, 'KB'));
const came = median(opened.map(it => it.bytes)) / 1024;
console.log(
  `all scripts until then: ${came.toFixed(0)} KB; when they are opened: ${compressed(/[a-z]Station-.*\.js$/)
    .map(({ name, kb }) => `${name} ${kb.toFixed(0)} KB`)
    .join(', ')}`,
);
await browser.close();
await scratch.end();
process.exit(0);
