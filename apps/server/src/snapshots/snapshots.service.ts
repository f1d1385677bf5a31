import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { isUuid } from '../common/isUuid';
import { Workshop } from '../work/workshop.service';
import type { Restored } from './snapshots.job';

export interface SnapshotSummary {
  id: string;
  seq: number;
  note: string;
  by: string | null;
  createdAt: string;
}

/** Whole sites as they were at a moment, to go back to. */
@Injectable()
export class SnapshotsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly workshop: Workshop,
  ) {}

  list(site: string): Promise<SnapshotSummary[]> {
    return this.database.query(
      `select s.id, s.seq, s.note, a.name as by, s.created_at as "createdAt"
       from snapshots s left join accounts a on a.id = s.account_id
       where s.site_id = $1 order by s.created_at desc, s.id limit 200`,
      [site],
    );
  }

  keep(site: string, account: string, note: string): Promise<{ id: string; seq: number }> {
    return this.workshop.run('keepSnapshot', { site, account, note });
  }

  /** The guide of a snapshot, as JSON. */
  guide(site: string, snapshot: string): Promise<string> {
    return this.workshop.run('guideOfSnapshot', { site, snapshot });
  }

  restore(site: string, account: string, snapshot: string, part: 'all' | 'guide'): Promise<Restored> {
    return this.workshop.run('restoreSnapshot', { site, account, snapshot, part });
  }

  async forget(site: string, id: string): Promise<void> {
    if (isUuid(id))
      await this.database.query('delete from snapshots where site_id = $1 and id = $2', [site, id]);
  }
}
