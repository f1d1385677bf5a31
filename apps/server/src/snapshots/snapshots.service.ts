import { randomUUID } from 'node:crypto';
import {
  allRecords,
  differenceTo,
  type GuideData,
  guideOf,
  planGuide,
  readRecord,
  type Site,
  type SiteRecord,
  siteOf,
  takeGuide,
} from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import { AcceptService } from '../sites/accept.service';
import { SiteCache } from '../sites/siteCache';

export interface SnapshotSummary {
  id: string;
  seq: number;
  note: string;
  by: string | null;
  createdAt: string;
}

const isUuid = (id: string) => /^[0-9a-f-]{36}$/i.test(id);

/** Whole sites as they were at a moment, to go back to. */
@Injectable()
export class SnapshotsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly cache: SiteCache,
    private readonly changes: AcceptService,
  ) {}

  list(site: string): Promise<SnapshotSummary[]> {
    return this.database.query(
      `select s.id, s.seq, s.note, a.name as by, s.created_at as "createdAt"
       from snapshots s left join accounts a on a.id = s.account_id
       where s.site_id = $1 order by s.created_at desc, s.id limit 200`,
      [site],
    );
  }

  async keep(site: string, account: string, note: string): Promise<{ id: string; seq: number }> {
    const { seq, site: now } = await this.cache.at(site);
    const body = await pack([...allRecords(now)]);
    const [row]: { id: string }[] = await this.database.query(
      'insert into snapshots (site_id, seq, note, account_id, body) values ($1, $2, $3, $4, $5) returning id',
      [site, seq, note, account, body],
    );
    if (!row) throw new Error('a snapshot was not kept');
    return { id: row.id, seq };
  }

  private async read(site: string, id: string): Promise<{ note: string; site: Site }> {
    const rows: { note: string; body: Buffer }[] = isUuid(id)
      ? await this.database.query('select note, body from snapshots where site_id = $1 and id = $2', [
          site,
          id,
        ])
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

  async guide(site: string, id: string): Promise<GuideData> {
    const { note, site: then } = await this.read(site, id);
    return guideOf(then, note);
  }

  /** Goes back to a snapshot, as one change like any other; what was there is kept as a snapshot first. */
  async restore(site: string, account: string, id: string, part: 'all' | 'guide'): Promise<{ seq: number }> {
    const wanted = await this.read(site, id);
    const { seq, site: now } = await this.cache.at(site);
    const edits =
      part === 'all'
        ? differenceTo(now, wanted.site)
        : takeGuide(now, planGuide(now, guideOf(wanted.site, wanted.note)));
    if (edits.length === 0) return { seq };
    await this.keep(site, account, `Before going back to “${wanted.note}”`.slice(0, 200));
    const accepted = await this.changes.accept({
      site,
      account,
      id: `restore-${randomUUID()}`,
      base: seq,
      edits,
    });
    if (!accepted.ok) throw new ProblemException(accepted.problem);
    return { seq: accepted.value.seq };
  }

  async forget(site: string, id: string): Promise<void> {
    if (isUuid(id))
      await this.database.query('delete from snapshots where site_id = $1 and id = $2', [site, id]);
  }
}
