import {
  type Change,
  type Edit,
  fail,
  type KeeperMay,
  mayEdit,
  ok,
  type Result,
  type RoleName,
  rightsFor,
  targetOf,
  work,
} from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type QueryRunner } from 'typeorm';
import { inTransaction } from '../common/inTransaction';
import { Batches } from './batches';
import { RowLookup, rowsOf } from './recordTable';

export const CHANGES_CHANNEL = 'site_changes';

export interface Accepted {
  seq: number;
  /** Numbers of the edits that met nothing to alter. */
  dropped: number[];
}

/** A change on its way in: `base` is the number of the last change that its maker had seen. */
export interface Incoming extends Change {
  site: string;
  account: string;
  base: number;
}

interface Locked {
  seq: number;
  keeperMay: KeeperMay;
  /** Null for one who is no longer a member. */
  role: RoleName | null;
  knownSeq: number | null;
  same: boolean | null;
}

/** Role and rights are read under the lock: who loses them has no edit accepted after that. */
const LOCK = `
  select s.seq, s.keeper_may as "keeperMay", m.role, c.seq as "knownSeq", c.edits = $3::jsonb as same
  from sites s
    left join members m on m.site_id = s.id and m.account_id = $4
    left join changes c on c.site_id = s.id and c.id = $2
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
    insert into changes (site_id, seq, id, account_id, edits, base) select site, seq, $7, $8::uuid, $9::jsonb, $10 from input),
  numbered as (update sites set seq = input.seq from input where id = site)
  select pg_notify('${CHANGES_CHANNEL}', site || ' ' || seq) from input`;

/** How many changes share a transaction, at most: enough to pay for a slow disk, few enough to be answered soon. */
const TOGETHER = 32;

/** The one way by which a site is altered. */
@Injectable()
export class AcceptService {
  private readonly batches = new Batches((changes: readonly Incoming[]) => this.acceptAll(changes), TOGETHER);

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * Accepts a change or says why not. The lock on the site's row makes the order of numbers the order of commits; rows
   * are read only where an invariant asks for them. The same id again answers as it did; with other edits it is refused.
   */
  accept(change: Incoming): Promise<Result<Accepted>> {
    return this.batches.add(change.site, change);
  }

  /** One after the other in one transaction. One that is refused has written nothing, so the others stand. */
  private async acceptAll(changes: readonly Incoming[]): Promise<Result<Accepted>[]> {
    return inTransaction(this.database, async runner => {
      const results: Result<Accepted>[] = [];
      for (const change of changes) results.push(await this.within(runner, change));
      return results;
    });
  }

  /** Accepts a change in a transaction that does more; whoever began it ends it. */
  async within(runner: QueryRunner, { site, account, id, edits, base }: Incoming): Promise<Result<Accepted>> {
    const text = JSON.stringify(edits);
    const [locked]: Locked[] = await runner.query(LOCK, [site, id, text, account]);
    if (!locked?.role) return fail({ code: 'not-found', message: 'There is no such site.' });
    const { role, keeperMay } = locked;
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
    let forbidden = this.firstForbidden(lookup, edits, role, keeperMay);
    while (await lookup.load()) forbidden = this.firstForbidden(lookup, edits, role, keeperMay);
    if (forbidden) return forbidden;
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
      Math.min(base, locked.seq),
    ]);
    const { dropped } = outcome.value;
    return ok({ seq, dropped: edits.flatMap((edit, i) => (dropped.includes(edit) ? [i] : [])) });
  }

  private firstForbidden(lookup: RowLookup, edits: readonly Edit[], role: RoleName, keeperMay: KeeperMay) {
    if (role === 'designer') return null;
    for (const [i, right] of rightsFor(edits, lookup).entries()) {
      const edit = edits[i];
      if (!edit || mayEdit(role, keeperMay, right)) continue;
      return fail({
        code: 'forbidden',
        message: `A ${role} may not change this: it needs the right to change ${right}.`,
        record: targetOf(edit),
        ...('path' in edit && { path: edit.path.join('.') }),
        found: right,
        expected: role === 'keeper' ? keeperMay : 'nothing',
      });
    }
    return null;
  }
}
