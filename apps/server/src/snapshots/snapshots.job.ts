import { randomUUID } from 'node:crypto';
import {
  allRecords,
  differenceTo,
  guideOf,
  LIMITS,
  planGuide,
  readRecord,
  type Site,
  type SiteRecord,
  siteOf,
  takeGuide,
} from '@cove/core';
import type { Query } from '../common/database';
import { isUuid } from '../common/isUuid';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import { acceptChange } from '../sites/acceptChange';
import type { SiteAt } from '../sites/siteCache';
import type { Workbench } from '../work/workbench';

async function keep(
  query: Query,
  id: string,
  account: string,
  note: string,
  { seq, site }: SiteAt,
): Promise<{ id: string; seq: number }> {
  const body = await pack([...allRecords(site)]);
  const [row] = await query<{ id: string }>(
    'insert into snapshots (site_id, seq, note, account_id, body) values ($1, $2, $3, $4, $5) returning id',
    [id, seq, note, account, body],
  );
  if (!row) throw new Error('a snapshot was not kept');
  return { id: row.id, seq };
}

async function read(query: Query, site: string, id: string): Promise<{ note: string; site: Site }> {
  const rows = isUuid(id)
    ? await query<{ note: string; body: Buffer }>(
        'select note, body from snapshots where site_id = $1 and id = $2',
        [site, id],
      )
    : [];
  const [row] = rows;
  if (!row) throw notFound('snapshot');
  const body = await unpack(row.body);
  const records = (Array.isArray(body) ? body : []).flatMap((it): SiteRecord[] => {
    const record = readRecord(it);
    return record.ok ? [record.value] : [];
  });
  return { note: row.note, site: siteOf(records) };
}

/** Keeps a site as it is now. */
export async function keepSnapshot(
  { database, sites }: Workbench,
  { site, account, note }: { site: string; account: string; note: string },
): Promise<{ id: string; seq: number }> {
  return keep(database.query, site, account, note, await sites.at(site));
}

/** The guide of a snapshot, as JSON. */
export async function guideOfSnapshot(
  { database }: Workbench,
  { site, snapshot }: { site: string; snapshot: string },
): Promise<string> {
  const { note, site: then } = await read(database.query, site, snapshot);
  return JSON.stringify(guideOf(then, note));
}

/** Goes back to a snapshot, as one change like any other; what was there is kept as a snapshot first. */
export async function restoreSnapshot(
  { database, sites, files }: Workbench,
  {
    site,
    account,
    snapshot,
    part,
  }: { site: string; account: string; snapshot: string; part: 'all' | 'guide' },
): Promise<{ seq: number }> {
  const wanted = await read(database.query, site, snapshot);
  const now = await sites.at(site);
  const edits =
    part === 'all'
      ? differenceTo(now.site, wanted.site)
      : takeGuide(now.site, planGuide(now.site, guideOf(wanted.site, wanted.note)));
  if (edits.length === 0) return { seq: now.seq };
  await keep(database.query, site, account, `Before going back to “${wanted.note}”`.slice(0, 200), now);
  const change = { site, account, id: `restore-${randomUUID()}`, base: now.seq, edits };
  const accepted = await database.transaction(query =>
    acceptChange(query, files, change, LIMITS.computedChange),
  );
  if (!accepted.ok) throw new ProblemException(accepted.problem);
  return { seq: accepted.value.seq };
}
