import { createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { setTimeout as rest } from 'node:timers/promises';
import { SCHEMA } from '@cove/core';
import { strFromU8, unzipSync } from 'fflate';
import { ZipFile } from 'yazl';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { head, limit, median, row } from './statistics';
import { visitor } from './visitor';

/** Whole sites out and in: the archive beside writing and zipping the same, and how long it takes to become a site. */
const scratch = await startScratch({
  durable: true,
  environment: { COVE_DEMO: 'large', COVE_LOG_LEVEL: 'silent' },
});
const { address } = scratch.program;
const { raw, cookie } = await visitor(address);

async function whole(site: string): Promise<Uint8Array<ArrayBuffer>> {
  const response = await raw('GET', `/api/sites/${site}/whole.zip`);
  return new Uint8Array(await response.arrayBuffer());
}

/** Sends a whole site; answers how long it took until it was a site. */
async function send(path: string, body: Uint8Array<ArrayBuffer>): Promise<number> {
  const began = performance.now();
  const response = await fetch(address + path, {
    method: 'POST',
    headers: {
      cookie,
      'cove-schema': String(SCHEMA),
      origin: address,
      'content-type': 'application/octet-stream',
    },
    body,
  });
  const told = await response.text();
  if (!told.includes('"result"')) throw new Error(told.slice(-300));
  return performance.now() - began;
}

const archive = await whole('tolvane-large');
const files = Object.entries(unzipSync(archive));
const site: unknown = JSON.parse(
  strFromU8(files.find(([name]) => name === 'site.json')?.[1] ?? new Uint8Array()),
);
const folder = mkdtempSync(join(tmpdir(), 'cove-whole-'));

/** The same JSON and files written and zipped, nothing else. */
async function floor(): Promise<number> {
  const began = performance.now();
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(JSON.stringify(site)), 'site.json');
  for (const [name, data] of files)
    if (name !== 'site.json') zip.addBuffer(Buffer.from(data), name, { compress: false });
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(join(folder, 'floor.zip')));
  return performance.now() - began;
}
async function ours(): Promise<number> {
  const began = performance.now();
  await whole('tolvane-large');
  return performance.now() - began;
}

const times = { ours: [] as number[], floor: [] as number[] };
for (let i = 0; i < 9; i++) {
  times.floor.push(await floor());
  times.ours.push(await ours());
}
console.log(head(`A whole site, ${(archive.length / 1e6).toFixed(2)} MB as an archive`));
console.log(
  row('the large demo, from the request to its last byte', median(times.ours), median(times.floor), 3),
);

const demo = await whole('tolvane');
const taken = { demo: [] as number[], cold: [] as number[], large: [] as number[], over: [] as number[] };
for (let i = 0; i < 3; i++) {
  // Long enough for the thread to be ended.
  await rest(11_000);
  taken.cold.push(await send('/api/sites/whole?name=Cold', demo));
  taken.demo.push(await send('/api/sites/whole?name=Demo', demo));
  taken.large.push(await send('/api/sites/whole?name=Large', archive));
  taken.over.push(await send('/api/sites/cold/whole', i % 2 === 0 ? archive : demo));
}
console.log(limit('the demo becomes a site', median(taken.demo), 2000));
console.log(limit('the same where no thread is running', median(taken.cold), 2000));
console.log(limit('the large demo becomes a site', median(taken.large), 20_000));
console.log(limit('the one is laid over the other, snapshot and all', median(taken.over), 20_000));
rmSync(folder, { recursive: true, force: true });
await scratch.end();
process.exit(0);
