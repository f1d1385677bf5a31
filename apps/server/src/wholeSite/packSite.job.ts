import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { filedRecords, fileInArchive, printWholeSite, SITE_FILE } from '@cove/core/wholeSite';
import { ZipFile } from 'yazl';
import { notFound, ProblemException } from '../common/problem';
import type { Workbench } from '../work/workbench';

declare module '../work/job' {
  interface Jobs {
    packSite: typeof packSite;
  }
}

/** One moment for every file, so that the same site is the same archive, whenever it is made. */
const MADE = { mtime: new Date(1980, 0, 1), mode: 0o100644 };

interface PackedSite {
  path: string;
  bytes: number;
  /** What it is called as a file. */
  name: string;
}

/** The whole site as it is now, to be taken elsewhere: its records as JSON, its pictures, fonts and sounds beside them. */
export async function packSite(bench: Workbench, { site: id }: { site: string }): Promise<PackedSite> {
  const [row] = await bench.database.query<{ slug: string }>('select slug from sites where id = $1', [id]);
  if (!row) throw notFound('site');
  const { site } = await bench.sites.at(id);
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(printWholeSite(site)), SITE_FILE, MADE);
  const laid = new Set<string>();
  for (const record of filedRecords(site)) {
    const path = fileInArchive(record);
    if (laid.has(path)) continue;
    const store = record.kind === 'asset' ? bench.pictures : bench.fonts;
    const data = await store.read(id, record.file);
    if (!data)
      throw new ProblemException({
        code: 'missing-file',
        message: `${path} is not stored. Upload it again, or remove what shows it.`,
        found: path,
      });
    zip.addBuffer(data, path, { ...MADE, compress: false });
    laid.add(path);
  }
  zip.end();
  await mkdir(bench.scratch, { recursive: true });
  const path = join(bench.scratch, `${randomUUID()}.zip`);
  await pipeline(zip.outputStream, createWriteStream(path));
  return { path, bytes: (await stat(path)).size, name: `${row.slug}-site.zip` };
}
