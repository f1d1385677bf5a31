import 'reflect-metadata';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { allRecords, type Edit, LIMITS, SCHEMA } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import pg from 'pg';
import { DataSource } from 'typeorm';
import { ServerDatabase } from '../apps/server/src/common/database';
import { readConfig } from '../apps/server/src/config/config';
import { dataSourceOptions } from '../apps/server/src/dataSource';
import { JobLanes } from '../apps/server/src/jobs/lanes';
import { AcceptService } from '../apps/server/src/sites/accept.service';
import { acceptChange } from '../apps/server/src/sites/acceptChange';
import { DiskStorage } from '../apps/server/src/storage/diskStorage';
import { StoredFiles } from '../apps/server/src/storage/storedFiles';
import { Workshop } from '../apps/server/src/work/workshop.service';
import { startPostgres } from '../scripts/lib/postgres.mjs';
import { head, median, row } from './statistics';

/** Accepting one small change with a durable database, beside the bare transaction that writes the same rows. */
const folder = mkdtempSync(join(tmpdir(), 'cove-bench-'));
const database = await startPostgres(folder);
const source = await new DataSource(dataSourceOptions(database.url)).initialize();
const [inserted]: { id: string }[] = await source.query(
  "insert into accounts (email, name, password_hash) values ('a@b.example', 'A', '-') returning id",
);
if (!inserted) throw new Error('no account was made');
const account = inserted.id;
await source.query(
  `insert into sites (id, name, slug, schema) values ('tolvane', 'Tolvane', 'tolvane', ${SCHEMA})`,
);
await source.query("insert into members (site_id, account_id, role) values ('tolvane', $1, 'designer')", [
  account,
]);
const bodies = new ServerDatabase(source);
const files = new StoredFiles(new DiskStorage(folder));
const picture = 'abcdef0123456789.webp';
await files.note(bodies.query, 'tolvane', [
  { file: picture, mime: 'image/webp', bytes: 1, digest: Buffer.alloc(32) },
]);
const demo = [...allRecords(tolvane(() => picture))].map((record): Edit => ({ op: 'put', record }));
const laid = await bodies.transaction(query =>
  acceptChange(
    query,
    files,
    { site: 'tolvane', account, id: 'lay-the-demo', base: 0, edits: demo },
    LIMITS.computedChange,
  ),
);
if (!laid.ok) throw new Error(laid.problem.message);
const workshop = new Workshop(
  readConfig({ COVE_DATA: folder, COVE_DATABASE_URL: database.url }),
  new JobLanes(),
);
const service = new AcceptService(bodies, files, workshop);

const value = (n: number) => ({
  type: 'color',
  value: { space: 'oklch', coords: [(n % 100) / 100, 0.1, 200], alpha: 1 },
});
let made = 0;
async function ours(): Promise<number> {
  const n = ++made;
  const began = performance.now();
  const change = {
    id: `ours-change-${n}`,
    base: 0,
    edits: [{ op: 'set', id: 'hull', path: ['value'], value: value(n) }],
  };
  const result = await service.acceptSent('tolvane', account, Buffer.from(JSON.stringify(change)));
  if (!result.ok) throw new Error(result.problem.message);
  return performance.now() - began;
}

const client = new pg.Client({ connectionString: database.url });
await client.connect();
const { rows } = await client.query("select body from records where site_id = 'tolvane' and id = 'hull'");
async function bare(): Promise<number> {
  const n = ++made;
  const body = { ...rows[0].body, value: value(n) };
  const began = performance.now();
  await client.query('begin');
  await client.query("update records set body = $1 where site_id = 'tolvane' and id = 'hull'", [
    JSON.stringify(body),
  ]);
  const { rows: next } = await client.query(
    "update sites set seq = seq + 1 where id = 'tolvane' returning seq",
  );
  await client.query(
    "insert into changes (site_id, seq, id, account_id, edits) values ('tolvane', $1, $2, $3, $4)",
    [
      next[0].seq,
      `bare-${n}`,
      account,
      JSON.stringify([{ op: 'set', id: 'hull', path: ['value'], value: value(n) }]),
    ],
  );
  await client.query("select pg_notify('site_changes', 'tolvane')");
  await client.query('commit');
  return performance.now() - began;
}

for (let i = 0; i < 50; i++) {
  await ours();
  await bare();
}
const times = { ours: [] as number[], bare: [] as number[] };
for (let i = 0; i < 300; i++) {
  times.bare.push(await bare());
  times.ours.push(await ours());
}
console.log(head('Accepting one small change'));
console.log(row('a swatch set, durable database', median(times.ours), median(times.bare), 3));
await client.end();
await source.destroy();
database.stop();
rmSync(folder, { recursive: true, force: true });
process.exit(0);
