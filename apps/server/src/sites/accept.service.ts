import { type Edit, fail, mayEdit, ok, type Result, rightFor, targetOf, work } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type QueryRunner } from 'typeorm';
import type { Membership } from '../common/access';
import { RowLookup, rowsOf } from './recordTable';

export const CHANGES_CHANNEL = 'site_changes';

export interface Accepted {
  seq: number;
  /** Numbers of the edits that met nothing to alter. */
  dropped: number[];
}

const LOCK = `
  select s.seq, c.seq as "knownSeq", c.edits = $3::jsonb as same
  from sites s left join changes c on c.site_id = s.id and c.id = $2
  where s.id = $1 for update of s`;

/** All rows of a change in one statement: one journey to the database. */
const WRITE = `
  with input as (select $1::text as site, $2::int as seq),
  put as (
    insert into records (site_id, id, kind, parent, body)
    select site, r->>'id', r->>'kind', r->>'parent', r->'body' from input, jsonb_array_elements($3::jsonb) r
    on conflict (site_id, id) do update set parent = excluded.parent, body = excluded.body),
  gone as (delete from records using input where site_id = site and id = any($4::text[])),
  unlinked as (
    delete from record_references f using input, jsonb_to_recordset($5::jsonb) as u("from" text, path text, "to" text)
    where f.site_id = site and f.from_id = u."from" and f.path = u.path and f.to_id = u."to"),
  linked as (
    insert into record_references (site_id, from_id, path, to_id)
    select site, u."from", u.path, u."to" from input, jsonb_to_recordset($6::jsonb) as u("from" text, path text, "to" text)
    on conflict do nothing),
  kept as (
    insert into changes (site_id, seq, id, account_id, edits) select site, seq, $7, $8::uuid, $9::jsonb from input),
  numbered as (update sites set seq = input.seq from input where id = site)
  select pg_notify('${CHANGES_CHANNEL}', site || ' ' || seq) from input`;

/** The one way by which a site is altered. */
@Injectable()
export class AcceptService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * Accepts a change or says why not. The lock on the site's row makes the order of numbers the order of commits; rows
   * are read only where an invariant asks for them. The same id again answers as it did; with other edits it is refused.
   */
  async accept(
    membership: Membership,
    account: string,
    id: string,
    edits: readonly Edit[],
  ): Promise<Result<Accepted>> {
    const runner = this.database.createQueryRunner();
    try {
      await runner.startTransaction();
      const result = await this.within(runner, membership, account, id, edits);
      if (result.ok) await runner.commitTransaction();
      else await runner.rollbackTransaction();
      return result;
    } catch (error) {
      if (runner.isTransactionActive) await runner.rollbackTransaction();
      throw error;
    } finally {
      await runner.release();
    }
  }

  private async within(
    runner: QueryRunner,
    { site, role, keeperMay }: Membership,
    account: string,
    id: string,
    edits: readonly Edit[],
  ): Promise<Result<Accepted>> {
    const text = JSON.stringify(edits);
    const [locked]: { seq: number; knownSeq: number | null; same: boolean | null }[] = await runner.query(
      LOCK,
      [site, id, text],
    );
    if (!locked) return fail({ code: 'not-found', message: 'There is no such site.' });
    if (locked.knownSeq !== null)
      return locked.same
        ? ok({ seq: locked.knownSeq, dropped: [] })
        : fail({
            code: 'id-reused',
            message: 'Another change had this id.',
            found: id,
            expected: 'a new id',
          });

    const lookup = new RowLookup(runner, site);
    for (const edit of edits) lookup.get(targetOf(edit));
    await lookup.load();
    for (const edit of edits) {
      const right = rightFor(edit, it => lookup.get(it)?.kind);
      if (!mayEdit(role, keeperMay, right))
        return fail({
          code: 'forbidden',
          message: `A ${role} may not change this: it needs the right to change ${right}.`,
          record: targetOf(edit),
          ...('path' in edit && { path: edit.path.join('.') }),
          found: right,
          expected: role === 'keeper' ? keeperMay : 'nothing',
        });
    }
    let outcome = work(lookup, { edits });
    while (await lookup.load()) outcome = work(lookup, { edits });
    if (!outcome.ok) return outcome;

    const { put, gone, linked, unlinked } = rowsOf(outcome.value, lookup);
    const seq = locked.seq + 1;
    await runner.query(WRITE, [
      site,
      seq,
      JSON.stringify(put),
      gone,
      JSON.stringify(unlinked),
      JSON.stringify(linked),
      id,
      account,
      text,
    ]);
    const { dropped } = outcome.value;
    return ok({ seq, dropped: edits.flatMap((edit, i) => (dropped.includes(edit) ? [i] : [])) });
  }
}
