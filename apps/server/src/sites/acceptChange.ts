import {
  applyEdits,
  type Change,
  type ChangeBudget,
  type Edit,
  fail,
  isId,
  type KeeperMay,
  LIMITS,
  mayEdit,
  type Outcome,
  ok,
  type Result,
  type RoleName,
  readEdits,
  rightsFor,
  SCHEMA,
  type SiteRecord,
  targetOf,
  upgradeEdits,
} from '@cove/core';
import type { Query } from '../common/database';
import { CHANGES_CHANNEL } from '../database/channels';
import { schemaProblem } from '../schema/schemaProblem';
import type { StoredFiles } from '../storage/storedFiles';
import { ChangesOverRows } from './changesOverRows';
import type { ReceiptDto } from './dto/acceptedChange.dto';
import { RowLookup, rowsOf } from './recordTable';

/** Edits as they were sent under an earlier schema: counted, and not read yet. */
export interface EarlierEdits {
  schema: number;
  sent: readonly unknown[];
}

/** A change as it was sent: `base` is the number of the last change that its maker had seen. */
export interface SentChange extends Change {
  base: number;
  /** In place of its edits, where it was made under an earlier schema and waited since. */
  earlier?: EarlierEdits;
}

/** A change on its way in. */
export interface Incoming extends SentChange {
  site: string;
  account: string;
}

interface Locked {
  seq: number;
  records: number;
  keeperMay: KeeperMay;
  schema: number;
}

/** Whoever holds the site's row is the only one to alter it: the order of numbers is the order of commits. */
const LOCK = `select seq, records, keeper_may as "keeperMay", schema from sites where id = $1 for update`;

/**
 * What is read once the lock is held: roles, so that who loses theirs has no edit accepted after that, and what is known of
 * the ids that were sent. Edits are compared as they were sent, whatever schema they had and were upgraded to.
 */
const UNDER_LOCK = `
  select
    (select json_object_agg(account_id, role) from members where site_id = $1 and account_id = any($2::uuid[])) as roles,
    (select json_agg(json_build_object('id', c.id, 'seq', c.seq, 'same', coalesce(c.sent, c.edits) = sent.edits::jsonb))
     from unnest($3::text[], $4::text[]) as sent(id, edits) join changes c on c.site_id = $1 and c.id = sent.id) as known`;

interface UnderLock {
  roles: Readonly<Record<string, RoleName>> | null;
  known: readonly (Known & { id: string })[] | null;
}

/** All rows of some changes in one statement: one journey to the database. */
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
    insert into changes (site_id, seq, id, account_id, edits, sent, base, schema)
    select site, k.seq, k.id, k.account, k.edits, k.sent, k.base, $9
    from input, jsonb_to_recordset($7::jsonb) as k(seq int, id text, account uuid, edits jsonb, sent jsonb, base int)),
  numbered as (update sites set seq = input.seq, records = records + $8 from input where id = site)
  select pg_notify('${CHANGES_CHANNEL}', site || ' ' || seq) from input`;

const noSite = () => fail({ code: 'not-found', message: 'There is no such site.' });

/** What an id was accepted with, and whether that were these very edits. */
type Known = { seq: number; same: boolean };

/**
 * Accepts changes to one site in a transaction that somebody else began and ends, one after the other as if each came alone:
 * what one is refused for does not touch the others. Rows are read only where an invariant asks for them, and all are
 * written at once at the end. The same id again answers as it did; with other edits it is refused.
 */
export async function acceptChanges(
  query: Query,
  files: StoredFiles,
  site: string,
  changes: readonly Incoming[],
  budget: ChangeBudget = LIMITS.change,
): Promise<Result<ReceiptDto>[]> {
  const texts = changes.map(({ edits, earlier }) => JSON.stringify(earlier?.sent ?? edits));
  const [locked] = await query<Locked>(LOCK, [site]);
  if (!locked) return changes.map(noSite);
  const other = schemaProblem(locked.schema);
  if (other) return changes.map(() => fail(other));
  const accounts = [...new Set(changes.map(it => it.account))];
  const [read] = await query<UnderLock>(UNDER_LOCK, [site, accounts, changes.map(it => it.id), texts]);
  const roles = new Map(Object.entries(read?.roles ?? {}));
  const known = new Map<string, Known>(read?.known?.map(({ id, ...it }) => [id, it]));

  const lookup = new ChangesOverRows(new RowLookup(query, site));
  const kept: string[] = [];
  const textOf = new Map<string, string>();
  let { seq, records } = locked;
  const results: Result<ReceiptDto>[] = [];
  for (const [i, change] of changes.entries()) {
    const { account, id, base } = change;
    const text = texts[i] ?? '';
    const role = roles.get(account);
    const before = known.get(id);
    if (!role) results.push(noSite());
    else if (before) {
      const same = textOf.has(id) ? textOf.get(id) === text : before.same;
      results.push(
        same
          ? ok({ seq: before.seq, dropped: [] })
          : fail({
              code: 'id-reused',
              message: 'Another change had this id.',
              found: id,
              expected: 'a new id',
            }),
      );
    } else {
      const may = { role, keeperMay: locked.keeperMay };
      const edits = change.earlier ? await broughtUp(lookup, change.earlier) : ok(change.edits);
      if (!edits.ok) {
        results.push(edits);
        continue;
      }
      const outcome = await workOut(query, files, lookup, { site, edits: edits.value }, may, records, budget);
      if (!outcome.ok) {
        results.push(outcome);
        continue;
      }
      seq++;
      records += outcome.value.added;
      lookup.take(outcome.value);
      known.set(id, { seq, same: true });
      textOf.set(id, text);
      kept.push(
        `{"seq":${seq},"id":${JSON.stringify(id)},"account":${JSON.stringify(account)},"base":${Math.min(base, seq - 1)},${
          change.earlier ? `"sent":${text},"edits":${JSON.stringify(edits.value)}` : `"edits":${text}`
        }}`,
      );
      const dropped = new Set(outcome.value.dropped);
      results.push(ok({ seq, dropped: edits.value.flatMap((edit, n) => (dropped.has(edit) ? [n] : [])) }));
    }
  }
  if (kept.length === 0) return results;
  const { put, gone, linked, unlinked } = rowsOf(lookup, lookup.rows);
  await query(WRITE, [
    site,
    seq,
    JSON.stringify(put),
    gone,
    JSON.stringify(unlinked),
    JSON.stringify(linked),
    `[${kept.join(',')}]`,
    records - locked.records,
    SCHEMA,
  ]);
  return results;
}

/** The same for one. */
export async function acceptChange(
  query: Query,
  files: StoredFiles,
  change: Incoming,
  budget?: ChangeBudget,
): Promise<Result<ReceiptDto>> {
  const [result] = await acceptChanges(query, files, change.site, [change], budget);
  if (!result) throw new Error('a change was not answered');
  return result;
}

/** Edits that were made under an earlier schema, as they are meant now. */
async function broughtUp(
  lookup: ChangesOverRows,
  { schema, sent }: EarlierEdits,
): Promise<Result<readonly Edit[]>> {
  const upgraded = () => upgradeEdits(sent, schema, id => (isId(id) ? lookup.get(id) : undefined));
  let edits = upgraded();
  while (await lookup.load()) edits = upgraded();
  return readEdits(edits);
}

/** Holds one change to rights, invariants and budgets; writes nothing. */
async function workOut(
  query: Query,
  files: StoredFiles,
  lookup: ChangesOverRows,
  { site, edits }: Pick<Incoming, 'site' | 'edits'>,
  { role, keeperMay }: { role: RoleName; keeperMay: KeeperMay },
  records: number,
  budget: ChangeBudget,
): Promise<Result<Outcome & { added: number }>> {
  const removed = edits.flatMap(edit => (edit.op === 'remove' ? [edit.id] : []));
  if (!(await lookup.rows.loadSubtrees(removed, budget.records)))
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
  let outcome = applyEdits(lookup, { edits }, budget);
  while (await lookup.load()) outcome = applyEdits(lookup, { edits }, budget);
  if (!outcome.ok) return outcome;
  let added = 0;
  for (const [id, record] of outcome.value.after) added += (record ? 1 : 0) - (lookup.get(id) ? 1 : 0);
  const over = exceeds(outcome.value, records + added, added, budget);
  if (over) return over;
  const missing = await files.missing(query, site, namingFiles(outcome.value, lookup));
  return missing ? fail(missing) : ok({ ...outcome.value, added });
}

/** Records that name a file which they did not name before. */
function* namingFiles({ after }: Outcome, lookup: ChangesOverRows): Generator<SiteRecord> {
  for (const [id, record] of after) {
    if (record?.kind !== 'asset' && record?.kind !== 'font') continue;
    const before = lookup.get(id);
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

function firstForbidden(
  lookup: ChangesOverRows,
  edits: readonly Edit[],
  role: RoleName,
  keeperMay: KeeperMay,
) {
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
