import { type GuideData, guideOf, readGuideData, SCHEMA, type SiteRecord } from '@cove/core';
import { type JsonOf, toJson } from '../api/json';
import type { Query } from '../common/database';
import { isUuid } from '../common/isUuid';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import { assetPath, fontPath, keptPath } from '../storage/storage';
import { type StoredFile, storedFile } from '../storage/storedFiles';
import type { Workbench } from '../work/workbench';
import type { KeptGuideDto } from './dto/keptGuideSummary.dto';

declare module '../work/job' {
  interface Jobs {
    giveGuideFiles: typeof giveGuideFiles;
    keepGuide: typeof keepGuide;
    readKeptGuide: typeof readKeptGuide;
  }
}

/** Files that records name, and where a site keeps them. */
const filesOf = (records: readonly SiteRecord[], site: string): { file: string; path: string }[] =>
  records.flatMap(record => {
    if (record.kind === 'font') return [{ file: record.file, path: fontPath(site, record.file) }];
    return record.kind === 'asset' ? [{ file: record.file, path: assetPath(site, record.file) }] : [];
  });

/** A guide that somebody has kept; nobody else's is found. */
export async function keptGuide(query: Query, account: string, guide: string): Promise<GuideData> {
  const rows = isUuid(guide)
    ? await query<{ schema: number; body: Buffer }>(
        'select schema, body from kept_guides where account_id = $1 and id = $2',
        [account, guide],
      )
    : [];
  const [row] = rows;
  if (!row) throw notFound('guide');
  const data = readGuideData(await unpack(row.body), row.schema);
  if (!data.ok) throw new ProblemException(data.problem);
  return data.value;
}

/** A guide with all its records as it was kept, as JSON. */
export async function readKeptGuide(
  { database }: Workbench,
  { account, guide }: { account: string; guide: string },
): Promise<JsonOf<GuideData>> {
  return toJson(await keptGuide(database.query, account, guide));
}

/** Keeps the guide of a site for the next one, with its fonts and pictures. */
export async function keepGuide(
  { database, sites, storage }: Workbench,
  { account, site, name, about }: { account: string; site: string; name: string; about: string },
): Promise<KeptGuideDto> {
  const guide = guideOf((await sites.at(site)).site, name, about);
  const [row] = await database.query<KeptGuideDto>(
    `insert into kept_guides (account_id, name, about, from_site, schema, body) values ($1, $2, $3, $4, $5, $6)
     on conflict (account_id, name) do update
       set about = excluded.about, from_site = excluded.from_site, schema = excluded.schema, body = excluded.body,
           version = kept_guides.version + 1, created_at = now()
     returning id, name, about, version, from_site as "fromSite", created_at as "createdAt"`,
    [account, name, about, site, SCHEMA, await pack(guide)],
  );
  if (!row) throw new Error('a guide was not kept');
  // Names are made of what a file holds, so those of an earlier version do no harm.
  for (const { file, path } of filesOf(guide.records, site)) {
    const data = await storage.read(path);
    if (data) await storage.write(keptPath(row.id, file), data);
  }
  return row;
}

/** Lays files of a kept guide where a site looks for its own: those that the records name. */
export async function layGuideFiles(
  { storage }: Workbench,
  guide: string,
  records: readonly SiteRecord[],
  site: string,
): Promise<StoredFile[]> {
  const laid: StoredFile[] = [];
  for (const { file, path } of filesOf(records, site)) {
    const data = await storage.read(keptPath(guide, file));
    if (!data) continue;
    await storage.write(path, data);
    laid.push(storedFile(file, data));
  }
  return laid;
}

/** Lays the fonts and pictures of a guide where a site looks for its own, before it takes the records. */
export async function giveGuideFiles(
  bench: Workbench,
  { account, guide, site }: { account: string; guide: string; site: string },
): Promise<void> {
  const { records } = await keptGuide(bench.database.query, account, guide);
  await bench.files.note(bench.database.query, site, await layGuideFiles(bench, guide, records, site));
}
