import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { publishSite } from '@cove/core';
import { tolvaneLarge } from '@cove/core/starters';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { release } from './release';
import { head, limit, median, quantile, row } from './statistics';
import { visitor } from './visitor';

/** Publishing the large demo, beside rendering it and writing the same bytes with fsync; others ask meanwhile. */
const scratch = await startScratch({
  durable: true,
  environment: { COVE_DEMO: 'large', COVE_LOG_LEVEL: 'silent' },
});
const { read, send } = await visitor(scratch.program.address);
const path = '/api/sites/tolvane-large';

const ours = () => release({ send, read }, 'tolvane-large');

/** Renders anew and writes every file with fsync, one after the other as a release is written. */
async function floor(): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'cove-floor-'));
  const site = tolvaneLarge(() => 'abcdef0123456789.webp');
  const began = performance.now();
  const { files } = publishSite(site);
  for (const [name, text] of files) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    const file = await open(join(folder, name), 'w');
    await file.writeFile(text);
    await file.sync();
    await file.close();
  }
  const taken = performance.now() - began;
  rmSync(folder, { recursive: true, force: true });
  return taken;
}

/** How long others wait while something runs: a small request, again and again. */
async function others(work: Promise<unknown>): Promise<number[]> {
  const waits: number[] = [];
  let done = false;
  void work.finally(() => {
    done = true;
  });
  while (!done) {
    const began = performance.now();
    await read('/api/health');
    waits.push(performance.now() - began);
    await new Promise(resolve => setTimeout(resolve, 5));
  }
  return waits;
}

await ours();
await floor();
const times = { ours: [] as number[], floor: [] as number[] };
for (let i = 0; i < 3; i++) {
  times.floor.push(await floor());
  times.ours.push(await ours());
}
console.log(head('Publishing 100 pages'));
console.log(row('from the order to the live site', median(times.ours), median(times.floor), 3));
const whilePublishing = await others(ours());
console.log(limit('  meanwhile others wait, 95 of 100 at most', quantile(whilePublishing, 0.95), 100));
const { raw } = await visitor(scratch.program.address);
let size = 0;
async function zip(): Promise<void> {
  const response = await raw('GET', `${path}/export.zip`);
  size = (await response.arrayBuffer()).byteLength;
}
await zip();
const whileZipping: number[] = [];
for (let i = 0; i < 10; i++) whileZipping.push(...(await others(zip())));
console.log(
  limit(
    `the same as an archive of ${(size / 1e6).toFixed(1)} MB: others wait`,
    quantile(whileZipping, 0.95),
    100,
  ),
);
await scratch.end();
process.exit(0);
