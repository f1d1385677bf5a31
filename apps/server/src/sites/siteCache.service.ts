import { applyChange, type Edit, type Site, type SiteRecord, siteOf } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { notFound } from '../common/problem';

export interface SiteAt {
  seq: number;
  site: Site;
}

/** A site further behind than this is read anew rather than brought up by its changes. */
const CATCH_UP = 200;
const KEPT = 20;

/** Whole sites in memory, keyed by the number of their last change; nothing is kept that the database could not give again. */
@Injectable()
export class SiteCache {
  private readonly sites = new Map<string, SiteAt>();

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** The site as it is now. */
  async at(id: string): Promise<SiteAt> {
    const rows: { seq: number }[] = await this.database.query('select seq from sites where id = $1', [id]);
    const seq = rows[0]?.seq;
    if (seq === undefined) throw notFound('site');
    const known = this.sites.get(id);
    const current =
      known?.seq === seq
        ? known
        : (known && seq - known.seq <= CATCH_UP && (await this.catchUp(id, known, seq))) ||
          (await this.read(id));
    this.sites.delete(id);
    this.sites.set(id, current);
    const [oldest] = this.sites.keys();
    if (this.sites.size > KEPT && oldest !== undefined) this.sites.delete(oldest);
    return current;
  }

  private async catchUp(id: string, known: SiteAt, seq: number): Promise<SiteAt | null> {
    const rows: { edits: Edit[] }[] = await this.database.query(
      'select edits from changes where site_id = $1 and seq > $2 and seq <= $3 order by seq',
      [id, known.seq, seq],
    );
    if (rows.length !== seq - known.seq) return null;
    let { site } = known;
    for (const { edits } of rows) {
      const applied = applyChange(site, { edits });
      if (!applied.ok) return null;
      site = applied.value.site;
    }
    return { seq, site };
  }

  /** Number and records come from one snapshot. */
  private async read(id: string): Promise<SiteAt> {
    const { seq, records } = await this.records(id);
    return { seq, site: siteOf(records) };
  }

  async records(id: string): Promise<{ seq: number; records: SiteRecord[] }> {
    const rows: { seq: number; records: SiteRecord[] | null }[] = await this.database.query(
      'select seq, (select json_agg(body) from records where site_id = s.id) as records from sites s where id = $1',
      [id],
    );
    const [row] = rows;
    if (!row) throw notFound('site');
    return { seq: row.seq, records: row.records ?? [] };
  }
}
