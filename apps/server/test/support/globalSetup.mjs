import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startPostgres } from '../../../../scripts/lib/postgres.mjs';

export default async () => {
  const folder = mkdtempSync(join(tmpdir(), 'cove-test-'));
  const database = await startPostgres(folder, { durable: false });
  process.env.COVE_TEST_DATABASE = database.url;
  globalThis.coveTestDatabase = { database, folder };
};
