import { randomUUID } from 'node:crypto';
import {
  allRecords,
  differenceTo,
  type Edit,
  type GuideData,
  guideOf,
  LIMITS,
  planGuide,
  readRecords,
  SCHEMA,
  type Site,
  siteOf,
  takeGuide,
  type Unreadable,
} from '@cove/core';
import { type JsonOf, toJson } from '../api/json';
import type { Query } from '../common/database';
import { isUuid } from '../common/isUuid';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import type { SiteAt } from '../siteCache/siteCache';
import { acceptChange } from '../sites/acceptChange';
import type { Workbench } from '../work/workbench';
import type { KeptSnapshotDto, RestoredDto } from './dto/snapshotSummary.dto';

declare module '../work/job' {
  interface Jobs {
    guideOfSnapshot: typeof guideOfSnapshot;
    keepSnapshot: typeof keepSnapshot;
    restoreSnapshot: typeof restoreSnapshot;
  }
}

/** Keeps a site as it is at a change. */
export async function keepAt(
  query: Query,
  id: string,
  account: string,
  note: string,
  { seq, site }: SiteAt,
): Promise<KeptSnapshotDto> {
  const body = await pack([...allRecords(site)]);
  const [row] = await query<{ id: string }>(
    'insert into snapshots (site_id, seq, note, account_id, schema, body) values ($1, $2, $3, $4, $5, $6) returning id',
    [id, seq, note, account, SCHEMA, body],
  );
  if (!row) throw new Error('a snapshot was not kept');
  return { id: row.id, seq };
}

interface ReadSnapshot {
  note: string;
  site: Site;
  unreadable: readonly Unreadable[];
}

async function read(query: Query, site: string, id: string): Promise<ReadSnapshot> {
  const rows = isUuid(id)
    ? await query<{ note: string; schema: number; body: Buffer }>(
        'select note, schema, body from snapshots where site_id = $1 and id = $2',
        [site, id],
      )
    : [];
  const [row] = rows;
  if (!row) throw notFound('snapshot');
  const body = await unpack(row.body);
  const { records, unreadable } = readRecords(Array.isArray(body) ? body : [], row.schema);
  return { note: row.note, site: siteOf(records), unreadable };
}

const guideIn = ({ site, note, unreadable }: ReadSnapshot): GuideData => ({
  ...guideOf(site, note),
  ...(unreadable.length > 0 && { unread: unreadable.map(it => it.id) }),
});

/** Keeps a site as it is now. */
export async function keepSnapshot(
  { database, sites }: Workbench,
  { site, account, note }: { site: string; account: string; note: string },
): Promise<KeptSnapshotDto> {
  return keepAt(database.query, site, account, note, await sites.at(site));
}

/** The guide of a snapshot, as JSON. */
export async function guideOfSnapshot(
  { database }: Workbench,
  { site, snapshot }: { site: string; snapshot: string },
): Promise<JsonOf<GuideData>> {
  return toJson(guideIn(await read(database.query, site, snapshot)));
}

/** An edit that would take away what the snapshot has, though nobody can read it. */
const takesUnread = (edit: Edit, unreadable: readonly Unreadable[]): boolean =>
  edit.op === 'remove' && unreadable.some(it => it.id === edit.id);

/**
 * Goes back to a snapshot, as one change like any other; what was there is kept as a snapshot first. What the snapshot has
 * and this version cannot read stays at the site as it is now, and is told.
 */
export async function restoreSnapshot(
  { database, sites, files }: Workbench,
  {
    site,
    account,
    snapshot,
    part,
  }: { site: string; account: string; snapshot: string; part: 'all' | 'guide' },
): Promise<RestoredDto> {
  const wanted = await read(database.query, site, snapshot);
  const now = await sites.at(site);
  const all =
    part === 'all'
      ? differenceTo(now.site, wanted.site)
      : takeGuide(now.site, planGuide(now.site, guideIn(wanted)));
  const edits = all.filter(it => !takesUnread(it, wanted.unreadable));
  const unread = wanted.unreadable.map(it => `${it.kind} ${it.id}: ${it.why}`);
  if (edits.length === 0) return { seq: now.seq, unread };
  await keepAt(database.query, site, account, `Before going back to “${wanted.note}”`.slice(0, 200), now);
  const change = { site, account, id: `restore-${randomUUID()}`, base: now.seq, edits };
  const accepted = await database.transaction(query =>
    acceptChange(query, files, change, LIMITS.computedChange),
  );
  if (!accepted.ok) throw new ProblemException(accepted.problem);
  return { seq: accepted.value.seq, unread };
}
