import { allRecords, type Edit, LIMITS, SCHEMA, type Site } from '@cove/core';
import { createSite, drawings, SITE_STARTERS, tolvane, tolvaneLarge } from '@cove/core/starters';
import sharp from 'sharp';
import { ProblemException } from '../common/problem';
import { acceptChange } from '../sites/acceptChange';
import { type StoredFile, storedFile } from '../storage/storedFiles';
import type { Workbench } from '../work/workbench';

declare module '../work/job' {
  interface Jobs {
    makeSite: typeof makeSite;
  }
}

/** What a new site begins as: a ready one by its id, or one of the demos. */
export type Beginning = { starter: string } | { demo: 'small' | 'large' };

const createFrom = (begin: Beginning, name: string, file: (drawing: string) => string): Site => {
  if ('demo' in begin) return begin.demo === 'large' ? tolvaneLarge(file) : tolvane(file);
  const starter = SITE_STARTERS.find(it => it.id === begin.starter);
  if (!starter)
    throw new ProblemException({
      code: 'unknown-starter',
      message: 'There is no such ready site.',
      found: begin.starter,
      expected: `one of ${SITE_STARTERS.map(it => it.id).join(', ')}`,
    });
  return createSite(starter, name, file);
};

/**
 * Makes a site with the program's own drawings as its pictures, laid as one change like any other; all of it, or nothing.
 * False where somebody has taken its id since.
 */
export async function makeSite(
  bench: Workbench,
  { site: id, name, account, begin }: { site: string; name: string; account: string; begin: Beginning },
): Promise<boolean> {
  const { names, stored } = await drawPictures(bench, id);
  const site = createFrom(begin, name, drawing => names.get(drawing) ?? '');
  const edits = [...allRecords(site)].map((record): Edit => ({ op: 'put', record }));
  return bench.database.transaction(async query => {
    const made = await query(
      'insert into sites (id, name, slug, schema) values ($1, $2, $1, $3) on conflict do nothing returning id',
      [id, name, SCHEMA],
    );
    if (made.length === 0) return false;
    await query("insert into members (site_id, account_id, role) values ($1, $2, 'designer')", [id, account]);
    await bench.files.note(query, id, stored);
    const change = { site: id, account, id: `begin-${id}-${Date.now()}`, base: 0, edits };
    const accepted = await acceptChange(query, bench.files, change, LIMITS.computedChange);
    if (!accepted.ok) throw new Error(accepted.problem.message);
    return true;
  });
}

/** The drawings as pictures; they are the same for every site, so they are drawn once. */
let drawn: Promise<readonly { name: string; data: Buffer }[]> | null = null;

async function drawAll() {
  const all: { name: string; data: Buffer }[] = [];
  for (const { name, svg } of drawings())
    all.push({ name, data: await sharp(Buffer.from(svg)).webp({ quality: 82 }).toBuffer() });
  return all;
}

async function drawPictures({ pictures }: Workbench, site: string) {
  const names = new Map<string, string>();
  const stored: StoredFile[] = [];
  drawn ??= drawAll();
  for (const { name, data } of await drawn) {
    const file = await pictures.write(site, data);
    names.set(name, file);
    stored.push(storedFile(file, data));
  }
  return { names, stored };
}
