import { readRecord, referencesOf, upgradeRecord } from '@cove/core';
import type { Query } from '../common/database';

/** A record as the database holds it, of whichever schema. */
export interface StoredRecord {
  readonly id: string;
  readonly kind: string;
  readonly [field: string]: unknown;
}

const parentOf = ({ at }: StoredRecord): string | null =>
  typeof at === 'object' && at !== null && 'parent' in at && typeof at.parent === 'string' ? at.parent : null;

/**
 * What a record of a schema refers to: what it will refer to once it is upgraded. Nothing for one that cannot be read; what
 * is made of it is written with references of its own.
 */
const linksOf = (record: StoredRecord, schema: number) => {
  const read = readRecord(upgradeRecord(record, schema)[0]);
  return read.ok ? referencesOf(read.value).map(({ path, to }) => ({ from: record.id, path, to })) : [];
};

/** Records that go out in one statement. */
const TOGETHER = 500;

/** Writes records of a schema over whatever has their ids, and what they refer to anew. */
export async function writeRecords(
  query: Query,
  site: string,
  schema: number,
  records: readonly StoredRecord[],
): Promise<void> {
  for (let at = 0; at < records.length; at += TOGETHER) {
    const some = records.slice(at, at + TOGETHER);
    await query(
      `with r as (select * from jsonb_to_recordset($2::jsonb) as r(id text, kind text, parent text, body jsonb)),
       unlinked as (delete from record_references using r where site_id = $1 and from_id = r.id)
       insert into records (site_id, id, kind, parent, body) select $1, id, kind, parent, body from r
       on conflict (site_id, id) do update set kind = excluded.kind, parent = excluded.parent, body = excluded.body returning 1`,
      [
        site,
        JSON.stringify(some.map(body => ({ id: body.id, kind: body.kind, parent: parentOf(body), body }))),
      ],
    );
    await query(
      `insert into record_references (site_id, from_id, path, to_id)
       select $1, l."from", l.path, l."to" from jsonb_to_recordset($2::jsonb) as l("from" text, path text, "to" text)
       on conflict do nothing returning 1`,
      [site, JSON.stringify(some.flatMap(it => linksOf(it, schema)))],
    );
  }
}
