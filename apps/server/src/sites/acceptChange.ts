import {
  type Change,
  type ChangeBudget,
  type Edit,
  fail,
  type KeeperMay,
  LIMITS,
  mayEdit,
  type Outcome,
  ok,
  type Result,
  type RoleName,
  rightsFor,
  type SiteRecord,
  targetOf,
  work,
} from '@cove/core';
import type { Query } from '../common/database';
import type { StoredFiles } from '../storage/storedFiles';
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
  records: number;
  keeperMay: KeeperMay;
  /** Null for one who is no longer a member. */
  role: RoleName | null;
  knownSeq: number | null;
  same: boolean | null;
}

/** Role and rights are read under the lock: who loses them has no edit accepted after that. */
const LOCK = `
  select s.seq, s.records, s.keeper_may as "keeperMay", m.role, c.seq as "knownSeq", c.edits = $3::jsonb as same
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
  numbered as (update sites set seq = input.seq, records = records + $11 from input where id = site)
  select pg_notify('${CHANGES_CHANNEL}', site || ' ' || seq) from input`;

/**
 * Accepts a change in a transaction that somebody else began and ends, or says why not; then nothing has been written. The
 * lock on the site's row makes the order of numbers the order of commits; rows are read only where an invariant asks for
 * them. The same id again answers as it did; with other edits it is refused.
 */
export async function acceptChange(
  query: Query,
  files: StoredFiles,
  { site, account, id, edits, base }: Incoming,
  budget: ChangeBudget = LIMITS.change,
): Promise<Result<Accepted>> {
  const text = JSON.stringify(edits);
  const [locked] = await query<Locked>(LOCK, [site, id, text, account]);
  if (!locked?.role) return fail({ code: 'not-found', message: 'There is no such site.' });
  const { role, keeperMay } = locked;
  if (locked.knownSeq !== null)
    return locked.same
      ? ok({ seq: locked.knownSeq, dropped: [] })
      : fail({ code: 'id-reused', message: 'Another change had this id.', found: id, expected: 'a new id' });

  const lookup = new RowLookup(query, site);
  const removed = edits.flatMap(edit => (edit.op === 'remove' ? [edit.id] : []));
  if (!(await lookup.loadSubtrees(removed, budget.records)))
    return fail({
      code: 'too-much',
      message: `More than ${budget.records.toLocaleString('en')} things would go at once. Take them away in parts.`,
      expected: `at most ${budget.records} records`,
    });
  for (const edit of edits) lookup.get(targetOf(edit));
  await lookup.load();
  let forbidden = firstForbidden(lookup, edits, role, keeperMay);
  while (await lookup.load()) forbidden = firstForbidden(lookup, edits, role, keeperMay);
  if (forbidden) return forbidden;
  let outcome = work(lookup, { edits }, budget);
  while (await lookup.load()) outcome = work(lookup, { edits }, budget);
  if (!outcome.ok) return outcome;

  const { put, gone, linked, unlinked, added } = rowsOf(outcome.value, lookup);
  const over = exceeds(outcome.value, locked.records + added, added, budget);
  if (over) return over;
  const missing = await files.missing(query, site, namingFiles(outcome.value, lookup));
  if (missing) return fail(missing);
  const seq = locked.seq + 1;
  await query(WRITE, [
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
    added,
  ]);
  const dropped = new Set(outcome.value.dropped);
  return ok({ seq, dropped: edits.flatMap((edit, i) => (dropped.has(edit) ? [i] : [])) });
}

/** Records that name a file which they did not name before. */
function* namingFiles({ after }: Outcome, lookup: RowLookup): Generator<SiteRecord> {
  for (const [id, record] of after) {
    if (record?.kind !== 'asset' && record?.kind !== 'font') continue;
    const before = lookup.before(id);
    if (before?.kind === record.kind && before.file === record.file && stated(before) === stated(record))
      continue;
    yield record;
  }
}
const stated = (record: SiteRecord): string =>
  record.kind === 'asset' ? record.mime : record.kind === 'font' ? record.format : '';

/** How many edits of what takes a change back are few enough that their length need not be measured. */
const FEW = 200;

/** Whether a site would have more records than one may, or what takes the change back would be larger than a change may. */
function exceeds({ inverse }: Outcome, records: number, added: number, { bytes }: ChangeBudget) {
  if (added > 0 && records > LIMITS.siteRecords)
    return fail({
      code: 'too-much',
      message: `A site has at most ${LIMITS.siteRecords.toLocaleString('en')} things; this would make ${records.toLocaleString('en')}.`,
      found: `${records} records`,
      expected: `at most ${LIMITS.siteRecords} records`,
    });
  if (inverse.length <= FEW) return null;
  const length = JSON.stringify(inverse).length;
  return length <= bytes
    ? null
    : fail({
        code: 'too-much',
        message: 'This alters so much at once that it could not be undone. Do it in parts.',
        found: `${length} characters to take it back`,
        expected: `at most ${bytes}`,
      });
}

function firstForbidden(lookup: RowLookup, edits: readonly Edit[], role: RoleName, keeperMay: KeeperMay) {
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
