import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { buildServer } from './lib/build.mjs';
import { dataFolder, ROOT } from './lib/paths.mjs';
import { startPostgres } from './lib/postgres.mjs';

/** Lists the backups of sites, or puts a site back as one of them has it. The program may be running meanwhile. */
const ids = process.argv.slice(2);
if (ids.length > 1) {
  process.stderr.write('./cove restore takes one ID, or none to list the backups.\n');
  process.exit(2);
}
try {
  buildServer();
  const database = await startPostgres(dataFolder());
  const { status } = spawnSync(
    process.execPath,
    [join(ROOT, 'apps/server/dist/restore.process.mjs'), ...ids],
    {
      env: { ...process.env, COVE_DATABASE_URL: database.url },
      stdio: 'inherit',
    },
  );
  if (!database.wasRunning) database.stop();
  process.exit(status ?? 1);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : error}\n`);
  process.exit(1);
}
