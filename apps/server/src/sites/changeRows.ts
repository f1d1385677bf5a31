import type { Query } from '../common/database';

/** A change as it is told to browsers: JSON that the database wrote and that nobody here reads. */
export interface ChangeText {
  seq: number;
  /** Null for one longer than was asked for. */
  text: string | null;
  /** Whether nobody can replay it. */
  resets: boolean;
}

interface Row {
  seq: number;
  id: string;
  base: number;
  edits: string | null;
  /** Null for what the program did itself. */
  by: string | null;
  schema: number;
  resets: 'upgrade' | 'restore' | null;
}

/** Characters of all changes that are read in one go; the first is read however long it is. */
const MOST_TOGETHER = 24_000_000;

/** Changes after a number, oldest first; the text of those whose edits take more than `longest` characters is left out. */
export async function changesAfter(
  query: Query,
  site: string,
  after: number,
  limit: number,
  longest: number,
): Promise<ChangeText[]> {
  const rows = await query<Row>(
    `select seq, id, base, by, schema, resets, case when length <= $4 then edits::text end as edits from (
       select c.seq, c.id, c.base, a.name as by, c.schema, c.resets, c.edits, l.length,
         sum(least(l.length, $4)) over (order by c.seq) - least(l.length, $4) as before
       from changes c left join accounts a on a.id = c.account_id, lateral (select length(c.edits::text) as length) l
       where c.site_id = $1 and c.seq > $2 order by c.seq limit $3) as found
     where before < $5 order by seq`,
    [site, after, limit, longest, MOST_TOGETHER],
  );
  return rows.map(({ edits, resets, ...row }) => ({
    seq: row.seq,
    resets: resets !== null,
    text:
      edits === null
        ? null
        : `${JSON.stringify({ ...row, ...(resets && { resets }) }).slice(0, -1)},"edits":${edits}}`,
  }));
}
