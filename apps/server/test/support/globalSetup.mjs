import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildServer } from '../../../../scripts/lib/build.mjs';
import { ROOT } from '../../../../scripts/lib/paths.mjs';
import { startPostgres } from '../../../../scripts/lib/postgres.mjs';

export default async () => {
  // Threads and processes of the server run what was built, in tests too.
  buildServer();
  process.env.COVE_PARTS = join(ROOT, 'apps/server/dist');
  const folder = mkdtempSync(join(tmpdir(), 'cove-test-'));
  const database = await startPostgres(folder, { durable: false });
  process.env.COVE_TEST_DATABASE = database.url;
  globalThis.coveTestDatabase = { database, folder };
};
