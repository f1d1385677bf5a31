import { copyThings, readClip, SCHEMA } from '@cove/core';
import { type JsonOf, toJson } from '../api/json';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import type { Workbench } from '../work/workbench';
import type { KeptSectionDto, WholeKeptSectionDto } from './dto/keptSectionSummary.dto';

declare module '../work/job' {
  interface Jobs {
    keepSection: typeof keepSection;
    listKeptSections: typeof listKeptSections;
  }
}

/** All of them are drawn when one looks for one, so they have an end. */
const MOST_SECTIONS = 100;

/** How a kept section is told without what it holds. */
const COLUMNS = 'id, name, created_at as "createdAt"';

/** The sections that one account has kept, each as it left its site, as JSON; without a clip where it cannot be read. */
export async function listKeptSections(
  { database }: Workbench,
  { account }: { account: string },
): Promise<JsonOf<readonly WholeKeptSectionDto[]>> {
  const rows = await database.query<KeptSectionDto & { body: Buffer }>(
    `select ${COLUMNS}, body from kept_sections where account_id = $1 order by name`,
    [account],
  );
  const read: WholeKeptSectionDto[] = [];
  for (const { body, ...row } of rows)
    read.push({ ...row, clip: readClip(JSON.stringify(await unpack(body))) });
  return toJson(read);
}

/** Keeps a section of a site with all it holds. */
export async function keepSection(
  { database, sites }: Workbench,
  { account, site, section, name }: { account: string; site: string; section: string; name: string },
): Promise<KeptSectionDto> {
  const { site: whole } = await sites.at(site);
  if (!whole.kinds.section.has(section)) throw notFound('section');
  const [{ count = 0 } = {}] = await database.query<{ count?: number }>(
    'select count(*)::int as count from kept_sections where account_id = $1 and name <> $2',
    [account, name],
  );
  if (count >= MOST_SECTIONS)
    throw new ProblemException({
      code: 'too-many',
      message: `One keeps at most ${MOST_SECTIONS} sections. Forget one first.`,
    });
  const [row] = await database.query<KeptSectionDto>(
    `insert into kept_sections (account_id, name, schema, body) values ($1, $2, $3, $4)
     on conflict (account_id, name) do update set schema = excluded.schema, body = excluded.body, created_at = now()
     returning ${COLUMNS}`,
    [account, name, SCHEMA, await pack(copyThings(whole, [section]))],
  );
  if (!row) throw new Error('a section was not kept');
  return row;
}
