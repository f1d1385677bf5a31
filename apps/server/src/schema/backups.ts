import { SCHEMA } from '@cove/core';
import type { Query } from '../common/database';
import { pack, unpack } from '../common/packed';
import { CHANGES_CHANNEL } from '../database/channels';
import { type StoredRecord, writeRecords } from './writeRecords';

/** A whole site as it was at a moment, under the schema it had, record by record as the database held it. */
export interface Backup {
  id: string;
  site: string;
  schema: number;
  seq: number;
  reason: string;
  createdAt: string;
}

const COLUMNS = 'id, site_id as site, schema, seq, reason, created_at as "createdAt"';

export const listBackups = (query: Query): Promise<Backup[]> =>
  query(`select ${COLUMNS} from backups order by created_at desc, id`);

export const storedRecords = async (query: Query, site: string): Promise<StoredRecord[]> => {
  const rows = await query<{ body: StoredRecord }>(
    'select body from records where site_id = $1 order by id',
    [site],
  );
  return rows.map(it => it.body);
};

/** Keeps a site as it is now, whatever its schema; whoever calls this holds the site's row. */
export async function takeBackup(
  query: Query,
  {
    site,
    schema,
    seq,
    records,
  }: { site: string; schema: number; seq: number; records: readonly StoredRecord[] },
  reason: string,
): Promise<Backup> {
  const [backup] = await query<Backup>(
    `insert into backups (site_id, schema, seq, reason, body) values ($1, $2, $3, $4, $5) returning ${COLUMNS}`,
    [site, schema, seq, reason, await pack(records)],
  );
  if (!backup) throw new Error('a backup was not taken');
  return backup;
}

/**
 * Puts a site back as a backup has it, in a transaction that somebody else began; what was there is backed up first. Nobody
 * can replay this, so it is a change that resets whoever has the site open. Null where there is no such backup.
 */
export async function restoreBackup(
  query: Query,
  id: string,
): Promise<{ restored: Backup; before: Backup; seq: number } | null> {
  const [found] = await query<Backup & { body: Buffer }>(
    `select ${COLUMNS}, body from backups where id::text = $1`,
    [id],
  );
  if (!found) return null;
  const { body, ...restored } = found;
  const { site } = restored;
  const [now] = await query<{ seq: number; schema: number }>(
    'select seq, schema from sites where id = $1 for update',
    [site],
  );
  if (!now) return null;
  const records = await unpack(body);
  if (!Array.isArray(records)) throw new Error(`The backup ${id} holds no records.`);
  const before = await takeBackup(
    query,
    { site, ...now, records: await storedRecords(query, site) },
    `Before the backup of ${restored.createdAt} was restored`,
  );
  const seq = now.seq + 1;
  await query('delete from record_references where site_id = $1 returning 1', [site]);
  await query('delete from records where site_id = $1 returning 1', [site]);
  await writeRecords(query, site, restored.schema, records);
  await query(
    `insert into changes (site_id, seq, id, edits, base, schema, resets) values ($1, $2, $3, '[]', $4, $5, 'restore')`,
    [site, seq, `restore-${id}-${seq}`, now.seq, restored.schema],
  );
  await query('update sites set seq = $2, reset_at = $2, schema = $3, records = $4 where id = $1', [
    site,
    seq,
    restored.schema,
    records.length,
  ]);
  await query(`select pg_notify('${CHANGES_CHANNEL}', $1)`, [`${site} ${seq}`]);
  return { restored, before, seq };
}

/** What the next start of the program does to a site of this schema, in words. */
export const afterwards = (schema: number): string =>
  schema < SCHEMA
    ? 'The next start upgrades it again; start the earlier version of the program to keep it as it is now.'
    : 'It is ready to be worked on.';
