import { type AssetRecord, type PublishedSite, publishSite, type Unrenderable } from '@cove/core';
import type { Query } from '../common/database';
import { keptRendition } from '../files/renditions';
import { assetPath, releaseFolder } from '../storage/storage';
import type { Workbench } from '../work/workbench';
import { missingFiles } from './missingFiles';
import { problemText } from './problemText';

declare module '../work/job' {
  interface Jobs {
    publish: typeof publish;
  }
}

interface ReleaseRow {
  id: string;
  site: string;
  slug: string;
  number: number;
  state: string;
  leaveOut: boolean;
}

/** Milliseconds between two words on how far it is. */
const REPORT_EVERY = 150;

const releaseNamed = async (query: Query, id: string): Promise<ReleaseRow | undefined> =>
  (
    await query<ReleaseRow>(
      'select r.id, r.site_id as site, s.slug, r.number, r.state, r.leave_out as "leaveOut" from releases r join sites s on s.id = r.site_id where r.id = $1',
      [id],
    )
  )[0];

/**
 * Writes one release; running it again after a crash writes the same files. What cannot be rendered is reported by item and
 * page, and the rest is published only where that was asked for. It throws where trying again may help.
 */
export async function publish(bench: Workbench, { release: id }: { release: string }): Promise<void> {
  const { query } = bench.database;
  const release = await releaseNamed(query, id);
  if (!release || release.state === 'done' || release.state === 'failed') return;
  const { seq, site } = await bench.sites.at(release.site);
  const published = publishSite(site, `/${release.slug}/`);
  const missing = await missingFiles(bench, release.site, site, published);
  const problems: Unrenderable[] = [...published.problems, ...missing.problems];
  if (problems.length > 0 && !release.leaveOut) {
    await query("update releases set state = 'failed', seq = $2, problem = $3, problems = $4 where id = $1", [
      id,
      seq,
      problemText(problems),
      JSON.stringify(problems.slice(0, 50)),
    ]);
    return;
  }
  const assets = published.assets.filter(it => !missing.files.has(it.file));
  const total = published.files.size + assets.length + published.renditions.length + published.fonts.length;
  await query("update releases set state = 'making', seq = $2, total = $3, done = 0 where id = $1", [
    id,
    seq,
    total,
  ]);
  await writeFiles(bench, release, published, assets);
  await bench.database.transaction(async inside => {
    await inside(
      "update releases set state = 'done', done = $2, problem = null, problems = $3 where id = $1",
      [id, total, JSON.stringify(problems.slice(0, 50))],
    );
    // One that was asked for later, or another release chosen meanwhile, stays what visitors see.
    await inside('update sites set live_release = $2, live_after = $3 where id = $1 and live_after < $3', [
      release.site,
      id,
      release.number,
    ]);
  });
}

async function writeFiles(
  { database, storage, fonts: fontStore }: Workbench,
  { id, site }: ReleaseRow,
  { files, renditions, fonts }: PublishedSite,
  assets: readonly AssetRecord[],
): Promise<void> {
  const folder = releaseFolder(site, id);
  let done = 0;
  let lastReport = Date.now();
  const step = async () => {
    done++;
    if (Date.now() - lastReport < REPORT_EVERY) return;
    lastReport = Date.now();
    await database.query('update releases set done = $2 where id = $1', [id, done]);
  };
  for (const [path, text] of files) {
    await storage.write(`${folder}/${path}`, text);
    await step();
  }
  for (const asset of assets) {
    await storage.copy(assetPath(site, asset.file), `${folder}/assets/${asset.file}`);
    await step();
  }
  for (const rendition of renditions) {
    const kept = await keptRendition(storage, site, rendition);
    if (kept !== null) await storage.copy(kept, `${folder}/assets/${rendition.file}`);
    await step();
  }
  for (const file of fonts) {
    const data = await fontStore.read(site, file);
    if (data) await storage.write(`${folder}/fonts/${file}`, data);
    await step();
  }
}
