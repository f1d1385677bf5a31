import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { publishSite } from '@cove/core';
import { ZipFile } from 'yazl';
import { ProblemException } from '../common/problem';
import type { Workbench } from '../work/workbench';
import { missingFiles } from './missingFiles';
import { problemText } from './problemText';

declare module '../work/job' {
  interface Jobs {
    archive: typeof archive;
  }
}

/** Writes a site as it would be published into one archive, whole; whoever asked for it takes it from there. */
export async function archive(
  bench: Workbench,
  { site: id }: { site: string },
): Promise<{ path: string; bytes: number }> {
  const { site } = await bench.sites.at(id);
  const published = publishSite(site);
  const problems = [...published.problems, ...(await missingFiles(bench, id, site, published)).problems];
  if (problems.length > 0)
    throw new ProblemException({ code: 'unrenderable', message: problemText(problems) });
  const zip = new ZipFile();
  for (const [path, text] of published.files) zip.addBuffer(Buffer.from(text), path);
  for (const { file } of published.assets) {
    const data = await bench.pictures.read(id, file);
    if (data) zip.addBuffer(data, `assets/${file}`, { compress: false });
  }
  for (const file of published.fonts) {
    const data = await bench.fonts.read(id, file);
    if (data) zip.addBuffer(data, `fonts/${file}`, { compress: false });
  }
  zip.end();
  await mkdir(bench.scratch, { recursive: true });
  const path = join(bench.scratch, `${randomUUID()}.zip`);
  await pipeline(zip.outputStream, createWriteStream(path));
  return { path, bytes: (await stat(path)).size };
}
