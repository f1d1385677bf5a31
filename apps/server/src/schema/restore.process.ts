import { Pool } from 'pg';
import { codeOf } from '../common/codeOf';
import { PoolDatabase, type Query } from '../common/database';
import { afterwards, type Backup, listBackups, restoreBackup } from './backups';

/** PostgreSQL's name for a table that is not there: the program has not run since there are backups. */
const NO_TABLE = '42P01';

const NONE = 'There are no backups. One is taken before a site is upgraded.';

const say = (text: string) => process.stdout.write(`${text}\n`);

const line = ({ id, site, schema, seq, reason, createdAt }: Backup): string =>
  `${id}  ${site}, change ${seq}, schema ${schema}, taken ${new Date(createdAt).toLocaleString('en')}\n  ${reason}`;

async function list(query: Query): Promise<void> {
  const backups = await listBackups(query);
  if (backups.length === 0) say(NONE);
  for (const backup of backups) say(line(backup));
  if (backups.length > 0) say('\n./cove restore ID puts a site back as one of them has it.');
}

/** Lists the backups, or restores the one whose id is given; answers with the code to end with. */
async function run(database: PoolDatabase, id: string | undefined): Promise<number> {
  if (id === undefined) {
    await list(database.query);
    return 0;
  }
  const done = await database.transaction(query => restoreBackup(query, id));
  if (!done) {
    say(`There is no backup ${id}. ./cove restore lists them.`);
    return 1;
  }
  const { restored, before, seq } = done;
  say(
    `The site ${restored.site} is as it was at change ${restored.seq}, by change ${seq}. What was there is backup ${before.id}.`,
  );
  say(afterwards(restored.schema));
  return 0;
}

const pool = new Pool({ connectionString: process.env.COVE_DATABASE_URL, max: 1 });
process.exitCode = await run(new PoolDatabase(pool), process.argv[2]).catch((error: unknown) => {
  if (codeOf(error) !== NO_TABLE) throw error;
  say(NONE);
  return process.argv[2] === undefined ? 0 : 1;
});
await pool.end();
