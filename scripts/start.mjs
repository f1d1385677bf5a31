import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { dataFolder } from './lib/paths.mjs';
import { isFree, startPostgres } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';

const flags = process.argv.slice(2);
const fresh = flags.includes('--fresh');
const large = flags.includes('--large');
const unknown = flags.filter(flag => flag !== '--fresh' && flag !== '--large');
const port = Number(process.env.COVE_PORT ?? 4310);
const sitesPort = Number(process.env.COVE_SITES_PORT ?? 4311);

const say = text => process.stdout.write(`${text}\n`);
const stopWith = message => {
  process.stderr.write(`${message}\n`);
  process.exit(1);
};

if (unknown.length > 0) stopWith(`./cove start takes --fresh and --large, not ${unknown.join(' ')}.`);

async function answersAsUs() {
  try {
    const health = await (
      await fetch(`http://localhost:${port}/api/health`, { signal: AbortSignal.timeout(2000) })
    ).json();
    return health.program === 'cove-thread';
  } catch {
    return false;
  }
}

for (const [name, number] of [
  ['COVE_PORT', port],
  ['COVE_SITES_PORT', sitesPort],
]) {
  if (await isFree(number)) continue;
  if (name === 'COVE_PORT' && (await answersAsUs()))
    stopWith(
      `Cove Thread is running already at http://localhost:${port}. Stop that one first, or set COVE_PORT and COVE_SITES_PORT for another.`,
    );
  stopWith(`Port ${number} is taken by another program. Set ${name} to a free one.`);
}

try {
  build();
  const data = dataFolder();
  const database = await startPostgres(data);
  if (fresh) {
    const { default: pg } = await import('pg');
    const client = new pg.Client({ connectionString: database.url });
    await client.connect();
    await client.query(
      'drop schema if exists public cascade; drop schema if exists jobs cascade; create schema public;',
    );
    await client.end();
    for (const folder of ['assets', 'fonts', 'guides', 'incoming', 'releases'])
      rmSync(join(data, folder), { recursive: true, force: true });
  }
  const environment = {
    COVE_DATA: data,
    COVE_DATABASE_URL: database.url,
    COVE_PORT: String(port),
    COVE_SITES_PORT: String(sitesPort),
    COVE_LOG_LEVEL: process.env.COVE_LOG_LEVEL ?? 'warn',
    COVE_DEMO: large ? 'large' : (process.env.COVE_DEMO ?? 'small'),
    COVE_DEMO_LIVE: process.env.COVE_DEMO_LIVE ?? 'on',
    // The letters of one’s own machine are read on it.
    COVE_OUTBOX: process.env.COVE_OUTBOX ?? 'open',
  };
  const server = await startServer(environment).catch(error => {
    database.stop();
    throw error;
  });
  say(`\nCove Thread    http://localhost:${port}`);
  say(`Published at   http://127.0.0.1:${sitesPort}/tolvane/`);
  say('Demo account   demo@tolvane.example, password ferries-at-dawn');
  say(`Mail           http://localhost:${port}/outbox (simulated; it never leaves this machine)`);
  say('Stop with Ctrl+C.\n');
  let ending = false;
  const end = async code => {
    if (ending) return;
    ending = true;
    await server.stop();
    database.stop();
    process.exit(code);
  };
  process.on('SIGINT', () => void end(0));
  process.on('SIGTERM', () => void end(0));
  server.child.once('exit', code => void end(code ?? 1));
} catch (error) {
  stopWith(error instanceof Error ? error.message : String(error));
}
