import { readFileSync, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SCHEMA } from '@cove/core';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { head, limit, median, quantile } from './statistics';
import { visitor } from './visitor';

/** Fifty people on one site, each listening and making one edit a second, for a minute. */
const PEOPLE = 50;
const SECONDS = 60;
const scratch = await startScratch({
  durable: true,
  environment: { COVE_DEMO: 'large', COVE_LOG_LEVEL: 'silent' },
});
const { address, child } = scratch.program;
const path = '/api/sites/tolvane-large';
const { cookie, read, raw } = await visitor(address);
const { seq: start, records } = await read<{
  seq: number;
  records: { id: string; kind: string; widget?: string }[];
}>(path);
const headings = records.filter(it => it.kind === 'widget' && it.widget === 'heading').map(it => it.id);

/** Memory that the server holds, in MB. */
const memory = (): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1]) / 1024;

const leaving = new AbortController();
let heard = 0;
async function listen(): Promise<void> {
  const response = await fetch(`${address}${path}/events?after=${start}&schema=${SCHEMA}`, {
    headers: { cookie },
    signal: leaving.signal,
  });
  const decoder = new TextDecoder();
  for await (const chunk of response.body ?? [])
    heard += decoder.decode(chunk, { stream: true }).split('\nevent: change\n').length - 1;
}

const times: number[] = [];
let answered = 0;
async function edit(person: number, second: number): Promise<void> {
  const began = performance.now();
  const response = await raw('POST', `${path}/changes`, {
    id: `crowd-${person}-${second}`,
    base: start,
    edits: [
      {
        op: 'set',
        id: headings[(person * 7) % headings.length],
        path: ['content', 'text'],
        value: `${person} ${second}`,
      },
    ],
  });
  if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
  times.push(performance.now() - began);
  answered++;
}

/** How long the disk itself takes to keep 8 KB, several times a second: what no server on it can be faster than. */
const disk: number[] = [];
async function sampleDisk(): Promise<void> {
  const path = join(tmpdir(), `cove-disk-${process.pid}`);
  const file = await open(path, 'w');
  while (!leaving.signal.aborted) {
    const began = performance.now();
    await file.write('x'.repeat(8192), 0);
    await file.datasync();
    disk.push(performance.now() - began);
    await new Promise(resolve => setTimeout(resolve, 100));
  }
  await file.close();
  rmSync(path);
}

const listening = Array.from({ length: PEOPLE }, () => listen().catch(() => {}));
await new Promise(resolve => setTimeout(resolve, 1000));
const sampling = sampleDisk();
let most = memory();
const watching = setInterval(() => {
  most = Math.max(most, memory());
}, 250);
await Promise.all(
  Array.from({ length: PEOPLE }, async (_, person) => {
    await new Promise(resolve => setTimeout(resolve, (person / PEOPLE) * 1000));
    for (let second = 0; second < SECONDS; second++) {
      const due = performance.now() + 1000;
      await edit(person, second);
      await new Promise(resolve => setTimeout(resolve, Math.max(0, due - performance.now())));
    }
  }),
);
await new Promise(resolve => setTimeout(resolve, 2000));
clearInterval(watching);
const { seq } = await read<{ seq: number }>(path);
leaving.abort();
await Promise.all([...listening, sampling]);
console.log(head(`${PEOPLE} people on one site, one edit a second each, ${SECONDS} s`));
console.log(limit('an edit answered, half of them at most', median(times), 100));
console.log(limit('  95 of 100 at most', quantile(times, 0.95), 100));
console.log(
  `  meanwhile the disk alone: half ${median(disk).toFixed(1)} ms, 95 of 100 ${quantile(disk, 0.95).toFixed(1)} ms, at most ${Math.max(...disk).toFixed(0)} ms`,
);
console.log(limit('memory of the server, at most', most, 400, 'MB'));
console.log(`edits made ${answered}, kept ${seq - start}, told ${heard} of ${answered * PEOPLE}`);
await scratch.end();
process.exit(seq - start === answered && heard === answered * PEOPLE ? 0 : 1);
