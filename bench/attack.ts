import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { brotliCompressSync } from 'node:zlib';
import { type Edit, SCHEMA, type SiteRecord } from '@cove/core';
import pg from 'pg';
import sharp from 'sharp';
import { ROOT } from '../scripts/lib/paths.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { limit, median, quantile } from './statistics';
import { visitor } from './visitor';

/**
 * What others wait while the program is attacked, on this machine alone, each attack bounded in number and time: a health
 * check and a published page, asked for every few milliseconds from a thread of their own.
 */
const MANY = 100;
const scratch = await startScratch({ durable: true, environment: { COVE_LOG_LEVEL: 'silent' } });
const { address, sites, child } = scratch.program;
const me = await visitor(address);
const site = '/api/sites/tolvane';

const memory = (): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1]) / 1024;
let most = memory();
const watching = setInterval(() => {
  most = Math.max(most, memory());
}, 100);

async function published(): Promise<void> {
  const { id } = await me.send<{ id: string }>('POST', `${site}/releases`, {});
  for (;;) {
    const { releases } = await me.read<{ releases: { id: string; live: boolean }[] }>(`${site}/releases`);
    if (releases.some(it => it.id === id && it.live)) return;
    await new Promise(resolve => setTimeout(resolve, 100));
  }
}

type Times = [url: string, times: number[]][];
/** Runs something while the two are asked for; answers how long each took. */
async function whileAsked(run: () => Promise<unknown>): Promise<Times> {
  const worker = new Worker(join(ROOT, 'bench/probe.mjs'), {
    workerData: [`${address}/api/health`, `${sites}/tolvane/`],
  });
  await new Promise(resolve => setTimeout(resolve, 300));
  await run();
  await new Promise(resolve => setTimeout(resolve, 300));
  const told = new Promise<Times>(resolve => worker.once('message', resolve));
  worker.postMessage('end');
  return told;
}

const post = (path: string, body: BodyInit, headers: Record<string, string> = {}) =>
  fetch(address + path, {
    method: 'POST',
    body,
    headers: {
      origin: address,
      'cove-schema': String(SCHEMA),
      'content-type': 'application/json',
      ...headers,
    },
  }).then(
    response => response.status,
    () => 0,
  );
const asMember = { cookie: me.cookie };
const asFile = { cookie: me.cookie, 'content-type': 'application/octet-stream' };
const change = (id: string, edits: readonly Edit[]) => JSON.stringify({ id: `attack-${id}`, edits });
const put = (record: SiteRecord): Edit => ({ op: 'put', record });
const anonymous = `{"edits":[${'{},'.repeat(6_300_000)}{}]}`;
const small = `{"edits":[${'{},'.repeat(300_000)}{}]}`;
const page = (i: number): SiteRecord =>
  ({
    ...{ id: `p${i}`, kind: 'page', pageKind: 'page', title: `P ${i}`, path: `p-${i}`, description: '' },
    ...{ at: { parent: 'settings', order: 'V' }, scheme: null, rebind: {} },
  }) as SiteRecord;
const token = (i: number): SiteRecord =>
  ({
    ...{ id: `t${i}`, kind: 'token', type: 'color', name: `T ${i}`, group: 'T', order: 'V' },
    value:
      i === 0
        ? { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } }
        : { type: 'token', token: `t${i - 1}` },
  }) as SiteRecord;
const preset = (level: number, side: string): SiteRecord =>
  ({
    ...{ id: `${side}${level}`, kind: 'preset', name: `${side} ${level}`, order: 'V', styles: {} },
    ...(level > 0 && {
      includes: { x: { preset: `a${level - 1}`, order: 'V' }, y: { preset: `b${level - 1}`, order: 'X' } },
    }),
  }) as SiteRecord;
const group = (i: number): SiteRecord =>
  ({
    ...{ id: `g${i}`, kind: 'widget', widget: 'group', content: {}, variants: {}, wears: {}, styles: {} },
    at: { parent: i === 0 ? 'welcome' : `g${i - 1}`, order: 'V' },
  }) as SiteRecord;
const times = <T>(count: number, make: (i: number) => T): T[] =>
  Array.from({ length: count }, (_, i) => make(i));

const packed = brotliCompressSync(Buffer.alloc(600_000_000));
const header = Buffer.alloc(48);
header.write('wOF2', 0, 'latin1');
header.writeUInt16BE(1, 12);
header.writeUInt32BE(packed.length, 20);
const font = Buffer.concat([header, Buffer.from([0x00, 0x87, 0x68]), packed]);
const picture = await sharp({ create: { width: 9000, height: 6500, channels: 3, background: '#246' } })
  .png({ compressionLevel: 9 })
  .toBuffer();

const ATTACKS: readonly (readonly [string, () => Promise<unknown>])[] = [
  ['nothing', () => new Promise(resolve => setTimeout(resolve, 2000))],
  ['19 MB of JSON from nobody', () => post(`${site}/changes`, anonymous)],
  ['six of them at once', () => Promise.all(times(6, () => post(`${site}/changes`, anonymous)))],
  [
    `0.9 MB from nobody, ${MANY} at once`,
    () => Promise.all(times(MANY, () => post(`${site}/changes`, small))),
  ],
  ['19 MB of edits from a member', () => post(`${site}/changes`, anonymous, asMember)],
  [
    `0.9 MB of edits from a member, ${MANY} at once`,
    () => Promise.all(times(MANY, () => post(`${site}/changes`, small, asMember))),
  ],
  [
    'presets that include presets, 42',
    () =>
      post(
        `${site}/changes`,
        change('presets', times(21, i => [put(preset(i, 'a')), put(preset(i, 'b'))]).flat()),
        asMember,
      ),
  ],
  [
    '5,000 tokens in a chain',
    () =>
      post(
        `${site}/changes`,
        change(
          'chain',
          times(5000, i => put(token(i))),
        ),
        asMember,
      ),
  ],
  [
    'groups 4,000 deep',
    () =>
      post(
        `${site}/changes`,
        change(
          'groups',
          times(4000, i => put(group(i))),
        ),
        asMember,
      ),
  ],
  [
    '5,000 pages',
    () =>
      post(
        `${site}/changes`,
        change(
          'pages',
          times(5000, i => put(page(i))),
        ),
        asMember,
      ),
  ],
  [
    'taken away again',
    () =>
      post(
        `${site}/changes`,
        change(
          'no-pages',
          times(5000, i => ({ op: 'remove', id: `p${i}` })),
        ),
        asMember,
      ),
  ],
  [
    'a mail link of 40,000 characters, a hundred of them',
    () =>
      post(
        `${site}/changes`,
        change(
          'links',
          times(MANY, i => ({
            op: 'set',
            id: 'book',
            path: ['content', 'link'],
            value: { type: 'mail', address: `a${'@'.repeat(40_000)}${i}` },
          })),
        ),
        asMember,
      ),
  ],
  [
    'a font that unpacks to 600 MB, four at once',
    () => Promise.all(times(4, () => post(`${site}/fonts`, font, asFile))),
  ],
  [
    'pictures of 59 megapixels, eight at once',
    () => Promise.all(times(8, () => post(`${site}/assets`, picture, asFile))),
  ],
  [
    `previews, ${MANY} at once`,
    () => Promise.all(times(MANY, () => me.raw('GET', `${site}/pages/home/preview`).then(it => it.text()))),
  ],
  [
    'archives, ten at once',
    () => Promise.all(times(10, () => me.raw('GET', `${site}/export.zip`).then(it => it.arrayBuffer()))),
  ],
  [
    `wrong passwords, ${MANY} at once`,
    () =>
      Promise.all(
        times(MANY, i =>
          post('/api/session', JSON.stringify({ email: `x${i}@b.example`, password: 'wrong' })),
        ),
      ),
  ],
];

await published();
console.log(
  `\n${'while …'.padEnd(52)} ${'health p99'.padStart(11)} ${'slowest'.padStart(9)} ${'page p99'.padStart(10)} ${'slowest'.padStart(9)}   took`,
);
for (const [name, run] of ATTACKS) {
  const began = performance.now();
  const [[, health] = ['', []], [, seen] = ['', []]] = await whileAsked(run);
  const took = (performance.now() - began - 600) / 1000;
  const said = (all: readonly number[]) =>
    [quantile(all, 0.99), Math.max(...all)].map(it => `${it.toFixed(1)} ms`);
  const [a = '', b = ''] = said(health);
  const [c = '', d = ''] = said(seen);
  console.log(
    `${name.padEnd(52)} ${a.padStart(11)} ${b.padStart(9)} ${c.padStart(10)} ${d.padStart(9)}   ${took.toFixed(1)} s`,
  );
}
console.log('wanted: p99 at most 50 ms, slowest 100 ms');
console.log(limit('memory of the server meanwhile, at most', most, 400, 'MB'));

/** 200 people edit one site, each once a second, and 200 listen; beside it the bare transaction, in turn. */
const PEOPLE = 200;
const SECONDS = 15;
const leaving = new AbortController();
const { seq: start } = await me.read<{ seq: number }>(site);
const listeners = new Worker(join(ROOT, 'bench/listeners.mjs'), {
  workerData: {
    url: `${address}${site}/events?after=${start}&schema=${SCHEMA}`,
    cookie: me.cookie,
    count: PEOPLE,
  },
});
await new Promise(resolve => setTimeout(resolve, 1500));
const client = new pg.Client({ connectionString: scratch.database.url });
await client.connect();
await client.query("create table bare (n int primary key, body jsonb); insert into bare values (1, '{}')");
const bare: number[] = [];
const edits: number[] = [];
const busy = (async () => {
  while (!leaving.signal.aborted) {
    const began = performance.now();
    await client.query('begin');
    await client.query('update bare set body = $1 where n = 1', [JSON.stringify({ at: began })]);
    await client.query("select pg_notify('bare', '1')");
    await client.query('commit');
    bare.push(performance.now() - began);
    await new Promise(resolve => setTimeout(resolve, 20));
  }
})();
await Promise.all(
  times(PEOPLE, async person => {
    await new Promise(resolve => setTimeout(resolve, (person / PEOPLE) * 1000));
    for (let second = 0; second < SECONDS; second++) {
      const due = performance.now() + 1000;
      const began = performance.now();
      const body = change(`crowd-${person}-${second}`, [
        { op: 'set', id: 'book', path: ['content', 'label'], value: `${person} ${second}` },
      ]);
      if ((await post(`${site}/changes`, body, asMember)) !== 200)
        throw new Error('an edit was not accepted');
      edits.push(performance.now() - began);
      await new Promise(resolve => setTimeout(resolve, Math.max(0, due - performance.now())));
    }
  }),
);
await new Promise(resolve => setTimeout(resolve, 2000));
leaving.abort();
const told = new Promise<number>(resolve => listeners.once('message', resolve));
listeners.postMessage('end');
const heard = await told;
await busy;
clearInterval(watching);
const [floor, p95] = [quantile(bare, 0.95), quantile(edits, 0.95)];
console.log(`\n${PEOPLE} people who edit and ${PEOPLE} who listen, ${SECONDS} s`);
console.log(
  `  an edit: half ${median(edits).toFixed(1)} ms, 95 of 100 ${p95.toFixed(1)} ms; the bare transaction: half ${median(bare).toFixed(1)}, 95 of 100 ${floor.toFixed(1)} ms`,
);
console.log(limit('  95 of 100 at most 3 × the bare one and a tick of 100 ms', p95, 3 * floor + 100));
console.log(`  edits ${edits.length}, told ${heard} of ${edits.length * PEOPLE}`);
console.log(limit('memory of the server meanwhile, at most', most, 400, 'MB'));
await client.end();
await scratch.end();
process.exit(0);
