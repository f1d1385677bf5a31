import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from '../../scripts/lib/build.mjs';
import { freePort, startPostgres } from '../../scripts/lib/postgres.mjs';
import { startServer } from '../../scripts/lib/server.mjs';

/** A whole program on ports and data of its own, for the tests that walk it in a browser. */
export default async () => {
  build();
  const folder = mkdtempSync(join(tmpdir(), 'cove-e2e-'));
  const database = await startPostgres(folder, { durable: false });
  const [port, sitesPort] = [await freePort(), await freePort()];
  const server = await startServer({
    COVE_DATA: folder,
    COVE_DATABASE_URL: database.url,
    COVE_PORT: String(port),
    COVE_SITES_PORT: String(sitesPort),
    COVE_LOG_LEVEL: 'warn',
  });
  process.env.COVE_TEST_PROGRAM = `http://localhost:${port}`;
  process.env.COVE_TEST_SITES = `http://127.0.0.1:${sitesPort}`;
  globalThis.coveProgram = { server, database, folder };
};
