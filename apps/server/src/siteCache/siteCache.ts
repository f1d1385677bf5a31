import { applyChange, type Edit, type Site, siteOf } from '@cove/core';
import type { Query } from '../common/database';
import { notFound, ProblemException } from '../common/problem';
import { schemaProblem } from '../schema/schemaProblem';

export interface SiteAt {
  seq: number;
  site: Site;
}

const holdToSchema = (schema: number): void => {
  const problem = schemaProblem(schema);
  if (problem) throw new ProblemException(problem);
};

/** A site further behind than this is read anew rather than brought up by its changes. */
const CATCH_UP = 200;
const KEPT = 8;

/** Whole sites in memory, keyed by the number of their last change; nothing is kept that the database could not give again. */
export class SiteCache {
  private readonly sites = new Map<string, SiteAt>();

  constructor(private readonly query: Query) {}

  /** Number of the last change, and of the last that nobody can replay. */
  private async numbersOf(id: string): Promise<{ seq: number; resetAt: number }> {
    const [row] = await this.query<{ seq: number; resetAt: number; schema: number }>(
      'select seq, reset_at as "resetAt", schema from sites where id = $1',
      [id],
    );
    if (!row) throw notFound('site');
    holdToSchema(row.schema);
    return row;
  }

  /** The site as it is now. */
  async at(id: string): Promise<SiteAt> {
    const { seq, resetAt } = await this.numbersOf(id);
    const known = this.sites.get(id);
    const current =
      known?.seq === seq
        ? known
        : (known &&
            known.seq >= resetAt &&
            seq - known.seq <= CATCH_UP &&
            (await this.catchUp(id, known, seq))) ||
          (await this.read(id));
    this.sites.delete(id);
    this.sites.set(id, current);
    const [oldest] = this.sites.keys();
    if (this.sites.size > KEPT && oldest !== undefined) this.sites.delete(oldest);
    return current;
  }

  private async catchUp(id: string, known: SiteAt, seq: number): Promise<SiteAt | null> {
    const rows = await this.query<{ edits: Edit[] }>(
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
    const { seq, records } = await this.text(id);
    return { seq, site: siteOf(JSON.parse(records)) };
  }

  /** A whole site as the database wrote it: its records are a JSON list that nobody here needs to read. */
  async text(id: string): Promise<{ seq: number; records: string }> {
    const rows = await this.query<{ seq: number; schema: number; records: string | null }>(
      'select seq, schema, (select json_agg(body)::text from records where site_id = s.id) as records from sites s where id = $1',
      [id],
    );
    const [row] = rows;
    if (!row) throw notFound('site');
    holdToSchema(row.schema);
    return { seq: row.seq, records: row.records ?? '[]' };
  }
}
