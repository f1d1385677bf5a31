import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { build } from './build.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { startServer } from './server.mjs';

/**
 * A whole program on ports and data of its own, thrown away at the end: for tests, pictures and measurements.
 * `startOne` starts a further process at the same database; `durable` is for those who pull plugs. `copyOf` names the
 * database and folder of another that is not running: beginning with a copy of its demo is faster than laying one.
 */
export async function startScratch({ durable = false, environment = {}, copyOf = null } = {}) {
  build();
  const folder = mkdtempSync(join(tmpdir(), 'cove-scratch-'));
  let database = copyOf ? await copyDatabase(copyOf, folder) : await startPostgres(folder, { durable });
  const startOne = async (more = {}) => {
    const [port, sitesPort] = [await freePort(), await freePort()];
    const settings = {
      COVE_DATA: folder,
      COVE_DATABASE_URL: database.url,
      COVE_PORT: String(port),
      COVE_SITES_PORT: String(sitesPort),
      COVE_LOG_LEVEL: 'warn',
      COVE_OUTBOX: 'open',
      COVE_OUTSIDE: 'quick',
      ...environment,
      ...more,
    };
    const options = { quiet: settings.COVE_LOG_LEVEL === 'silent' };
    let server = await startServer(settings, options);
    return {
      address: `http://localhost:${port}`,
      sites: `http://127.0.0.1:${sitesPort}`,
      get child() {
        return server.child;
      },
      /** Starts it again at the same address, after it has ended. */
      restart: async () => {
        server = await startServer(settings, options);
      },
      stop: () => server.stop(),
    };
  };
  const program = await startOne();
  return {
    folder,
    program,
    get database() {
      return database;
    },
    startOne,
    restartDatabase: async () => {
      database = await startPostgres(folder, { durable });
    },
    end: async () => {
      await program.stop();
      database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A database of its own beside the one it is copied from, at the same PostgreSQL; its files are copied to `folder`. */
async function copyDatabase(original, folder) {
  cpSync(original.folder, folder, {
    recursive: true,
    filter: path => !['postgres', 'database.json'].includes(basename(path)),
  });
  const { default: pg } = await import('pg');
  const url = new URL(original.url);
  const [name, template] = [basename(folder).toLowerCase().replaceAll('-', '_'), url.pathname.slice(1)];
  const admin = new pg.Client({ connectionString: new URL('/postgres', url).href });
  await admin.connect();
  await admin.query(`create database "${name}" template "${template}"`);
  await admin.end();
  url.pathname = `/${name}`;
  const notHere = () => {
    throw new Error('a copy has no database server of its own');
  };
  return { url: url.href, wasRunning: true, kill: notHere, stop: () => {} };
}
