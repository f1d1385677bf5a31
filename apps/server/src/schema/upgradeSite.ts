import { readRecords, SCHEMA, stableText, type Unreadable, UPGRADES, upgradeRecord } from '@cove/core';
import type { Query } from '../common/database';
import { CHANGES_CHANNEL } from '../database/channels';
import { storedRecords, takeBackup } from './backups';
import { type StoredRecord, writeRecords } from './writeRecords';

export interface Upgraded {
  from: number;
  seq: number;
  /** How many records are other than before. */
  altered: number;
  /** How many came into being of what others held. */
  made: number;
  /** What could not be read afterwards. It is kept, and cannot be edited until it can be read. */
  unreadable: readonly Unreadable[];
  backup: string;
}

const isStored = (it: unknown): it is StoredRecord =>
  typeof it === 'object' && it !== null && 'id' in it && 'kind' in it;

/** Edits of fields that make one record what it is after an upgrade. */
function fieldsAltered(before: StoredRecord, after: StoredRecord): object[] {
  const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...fields].flatMap((field): object[] => {
    if (stableText(before[field]) === stableText(after[field])) return [];
    const edit = { id: before.id, path: [field] };
    return [
      Object.hasOwn(after, field) ? { op: 'set', ...edit, value: after[field] } : { op: 'unset', ...edit },
    ];
  });
}

/**
 * Brings a site to the schema of this version, in a transaction that somebody else began: one change with a number of its
 * own, since whatever is made of a site is known by the number of its last change. A backup is taken first. Null where there
 * is nothing to do.
 */
export async function upgradeSite(query: Query, site: string): Promise<Upgraded | null> {
  const [now] = await query<{ seq: number; schema: number }>(
    'select seq, schema from sites where id = $1 for update',
    [site],
  );
  if (!now || now.schema >= SCHEMA) return null;
  const before = await storedRecords(query, site);
  const edits: object[] = [];
  const altered: StoredRecord[] = [];
  const made: StoredRecord[] = [];
  const ids = new Set(before.map(it => it.id));
  for (const record of before) {
    const [after, ...others] = upgradeRecord(record, now.schema);
    if (after !== record && isStored(after)) {
      altered.push(after);
      edits.push(...fieldsAltered(record, after));
    }
    // What is made of a record never takes the place of another.
    const fresh = others.filter(isStored).filter(it => !ids.has(it.id));
    made.push(...fresh);
    edits.push(...fresh.map(it => ({ op: 'put', record: it })));
  }
  const about = UPGRADES.filter(it => it.to > now.schema).map(it => it.about);
  const backup = await takeBackup(
    query,
    { site, ...now, records: before },
    `Before schema ${SCHEMA}: ${about.join(' ')}`,
  );
  const seq = now.seq + 1;
  await writeRecords(query, site, SCHEMA, [...altered, ...made]);
  await query(
    `insert into changes (site_id, seq, id, edits, base, schema, resets) values ($1, $2, $3, $4, $5, $6, 'upgrade')`,
    [site, seq, `upgrade-to-${SCHEMA}-${seq}`, JSON.stringify(edits), now.seq, SCHEMA],
  );
  await query('update sites set seq = $2, reset_at = $2, schema = $3, records = records + $4 where id = $1', [
    site,
    seq,
    SCHEMA,
    made.length,
  ]);
  await query(`select pg_notify('${CHANGES_CHANNEL}', $1)`, [`${site} ${seq}`]);
  const { unreadable } = readRecords(before, now.schema);
  return { from: now.schema, seq, altered: altered.length, made: made.length, unreadable, backup: backup.id };
}
