import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './build.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { startServer } from './server.mjs';

/**
 * A whole program on ports and data of its own, thrown away at the end: for tests, pictures and measurements.
 * `server` starts a further process at the same database; `durable` is for those who pull plugs.
 */
export async function startScratch({ durable = false, environment = {} } = {}) {
  build();
  const folder = mkdtempSync(join(tmpdir(), 'cove-scratch-'));
  let database = await startPostgres(folder, { durable });
  const startOne = async (more = {}) => {
    const [port, sitesPort] = [await freePort(), await freePort()];
    const settings = {
      COVE_DATA: folder,
      COVE_DATABASE_URL: database.url,
      COVE_PORT: String(port),
      COVE_SITES_PORT: String(sitesPort),
      COVE_LOG_LEVEL: 'warn',
      COVE_OUTBOX: 'open',
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
