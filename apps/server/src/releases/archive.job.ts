import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { publishSite, settingsOf } from '@cove/core';
import { ZipFile } from 'yazl';
import { notFound, ProblemException } from '../common/problem';
import { keptRendition } from '../files/renditions';
import { releaseFolder } from '../storage/storage';
import type { Workbench } from '../work/workbench';
import { missingFiles } from './missingFiles';
import { problemText } from './problemText';

declare module '../work/job' {
  interface Jobs {
    archive: typeof archive;
  }
}

interface Archive {
  path: string;
  bytes: number;
  /** What it is called as a file: the site, and whether it holds the draft or a release. */
  name: string;
}

/** Files that are packed already. */
const PACKED = /\.(webp|png|jpe?g|avif|woff2?|zip)$/;

/** What the archive says of itself, in a file that no page refers to. */
const ABOUT = 'about.txt';

const slugOf = async ({ database }: Workbench, id: string): Promise<string> => {
  const [row] = await database.query<{ slug: string }>('select slug from sites where id = $1', [id]);
  if (!row) throw notFound('site');
  return row.slug;
};

async function addDraft(bench: Workbench, id: string, zip: ZipFile): Promise<string> {
  const { site, seq } = await bench.sites.at(id);
  const published = publishSite(site);
  const problems = [...published.problems, ...(await missingFiles(bench, id, site, published)).problems];
  if (problems.length > 0)
    throw new ProblemException({ code: 'unrenderable', message: problemText(problems) });
  for (const [path, text] of published.files) zip.addBuffer(Buffer.from(text), path);
  for (const { file } of published.assets) {
    const data = await bench.pictures.read(id, file);
    if (data) zip.addBuffer(data, `assets/${file}`, { compress: false });
  }
  for (const rendition of published.renditions) {
    const kept = await keptRendition(bench.storage, id, rendition);
    const data = kept === null ? null : await bench.storage.read(kept);
    if (data) zip.addBuffer(data, `assets/${rendition.file}`, { compress: false });
  }
  for (const file of published.fonts) {
    const data = await bench.fonts.read(id, file);
    if (data) zip.addBuffer(data, `fonts/${file}`, { compress: false });
  }
  return `Draft of ${settingsOf(site).name}, up to change ${seq}. It may hold what visitors do not see yet.`;
}

async function addRelease(bench: Workbench, id: string, release: string, zip: ZipFile): Promise<string> {
  const [row] = await bench.database.query<{
    number: number;
    seq: number;
    state: string;
    at: Date;
    name: string;
  }>(
    'select r.number, r.seq, r.state, r.created_at as at, s.name from releases r join sites s on s.id = r.site_id where r.id = $1 and r.site_id = $2',
    [release, id],
  );
  if (!row) throw notFound('release');
  if (row.state !== 'done')
    throw new ProblemException({
      code: 'busy',
      message: 'This release is not finished.',
      found: row.state,
      expected: 'done',
    });
  const folder = releaseFolder(id, release);
  for (const file of await bench.storage.list(folder)) {
    const data = await bench.storage.read(`${folder}/${file}`);
    if (data) zip.addBuffer(data, file, { compress: !PACKED.test(file) });
  }
  return `Release ${row.number} of ${row.name}, published on ${row.at.toISOString().slice(0, 10)}, up to change ${row.seq}.`;
}

/** Writes the draft as it would be published, or a release as it was, into one archive, whole; whoever asked for it takes it from there. */
export async function archive(
  bench: Workbench,
  { site: id, release }: { site: string; release?: string },
): Promise<Archive> {
  const slug = await slugOf(bench, id);
  const zip = new ZipFile();
  const about =
    release === undefined ? await addDraft(bench, id, zip) : await addRelease(bench, id, release, zip);
  zip.addBuffer(
    Buffer.from(`${about}\nIts page for what is not found is 404.html; its guide lies in guide/.\n`),
    ABOUT,
  );
  zip.end();
  await mkdir(bench.scratch, { recursive: true });
  const path = join(bench.scratch, `${randomUUID()}.zip`);
  await pipeline(zip.outputStream, createWriteStream(path));
  const which =
    release === undefined ? 'draft' : /^Release (\d+)/.exec(about)?.[0].toLowerCase().replace(' ', '-');
  return { path, bytes: (await stat(path)).size, name: `${slug}-${which}.zip` };
}
