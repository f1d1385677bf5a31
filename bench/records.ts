import { siteOf } from '@cove/core';
import pg from 'pg';
import { SiteCache } from '../apps/server/src/siteCache/siteCache';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { head, median, row } from './statistics';

/** Loading the records of the large demo from the database, beside reading the same rows and parsing their JSON. */
const scratch = await startScratch({ environment: { COVE_DEMO: 'large', COVE_LOG_LEVEL: 'silent' } });
const client = new pg.Client({ connectionString: scratch.database.url });
await client.connect();
const id = 'tolvane-large';

async function ours(): Promise<number> {
  const cache = new SiteCache(async (sql, values = []) => (await client.query(sql, [...values])).rows);
  const began = performance.now();
  await cache.at(id);
  return performance.now() - began;
}
async function bare(): Promise<number> {
  const began = performance.now();
  const { rows } = await client.query('select body::text from records where site_id = $1', [id]);
  for (const { body } of rows) JSON.parse(body);
  return performance.now() - began;
}
for (let i = 0; i < 5; i++) {
  await ours();
  await bare();
}
const times = { ours: [] as number[], bare: [] as number[] };
for (let i = 0; i < 25; i++) {
  times.bare.push(await bare());
  times.ours.push(await ours());
}
const { rows } = await client.query('select body from records where site_id = $1', [id]);
const { kinds } = siteOf(rows.map(({ body }) => body));
console.log(head('Loading a site'));
console.log(
  row(
    `${rows.length} records, ${kinds.widget.size} of them widgets`,
    median(times.ours),
    median(times.bare),
    2,
  ),
);
await client.end();
await scratch.end();
process.exit(0);
