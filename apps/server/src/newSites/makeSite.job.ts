import {
  allRecords,
  applyChange,
  type Edit,
  type GuideData,
  LIMITS,
  type Result,
  SCHEMA,
  type SettingsRecord,
  type Site,
  type SiteRecord,
  siteOf,
} from '@cove/core';
import {
  BELL,
  type Brief,
  bellSound,
  briefNotes,
  completeBrand,
  createSite,
  type Drawing,
  drawings,
  neutralPictures,
  neutralSite,
  READY_GUIDES,
  readBrandData,
  readyGuide,
  SITE_STARTERS,
  type SiteStarter,
  tolvane,
  tolvaneLarge,
} from '@cove/core/starters';
import sharp from 'sharp';
import { notFound, ProblemException } from '../common/problem';
import { keptGuide, layGuideFiles } from '../guides/keptGuides.job';
import { acceptChange } from '../sites/acceptChange';
import { keepAt } from '../snapshots/snapshots.job';
import { type StoredFile, storedFile } from '../storage/storedFiles';
import { readUnpacked, type UnpackedSite } from '../uploads/unpackedSite';
import type { Workbench } from '../work/workbench';

declare module '../work/job' {
  interface Jobs {
    makeSite: typeof makeSite;
  }
}

/** The guide a new site has: worked out of a brand, a ready-made one, or one that its designer has kept. */
export type GuideAsked = { brand: object } | { ready: string } | { kept: string };

/**
 * What a new site begins as: a ready one by its id, or one that its designer has made, each in its own guide or another one;
 * a copy of a site; a whole one that was sent; or one of the demos.
 */
export type Beginning =
  | { starter: string; guide: GuideAsked | null; brief: Brief | null }
  | { ownSite: string; guide: GuideAsked | null; brief: Brief | null }
  | { copyOf: string }
  | { whole: UnpackedSite }
  | { demo: 'small' | 'large' };

const must = <T>(result: Result<T>): T => {
  if (!result.ok) throw new ProblemException(result.problem);
  return result.value;
};

async function guideFor(
  bench: Workbench,
  asked: GuideAsked,
  account: string,
  name: string,
): Promise<GuideData> {
  if ('brand' in asked) return readyGuide(must(completeBrand(must(readBrandData(asked.brand)), name)));
  if ('kept' in asked) return keptGuide(bench.database.query, account, asked.kept);
  const spec = READY_GUIDES.find(it => it.id === asked.ready);
  if (!spec)
    throw new ProblemException({
      code: 'unknown-guide',
      message: 'There is no such ready-made guide.',
      found: asked.ready,
      expected: `one of ${READY_GUIDES.map(it => it.id).join(', ')}`,
    });
  return readyGuide(spec);
}

function starterNamed(id: string): SiteStarter {
  const starter = SITE_STARTERS.find(it => it.id === id);
  if (!starter)
    throw new ProblemException({
      code: 'unknown-starter',
      message: 'There is no such ready site.',
      found: id,
      expected: `one of ${SITE_STARTERS.map(it => it.id).join(', ')}`,
    });
  return starter;
}

/** The records of a site that is not there yet, and the files that are laid for it. */
interface Laid {
  records: readonly SiteRecord[];
  stored: readonly StoredFile[];
  /** Lays what is still to be laid, once the records are accepted. */
  lay?(): Promise<void>;
}

async function layBeginning(
  bench: Workbench,
  begin: Beginning,
  { id, name, account }: { id: string; name: string; account: string },
): Promise<Laid> {
  if ('copyOf' in begin) return layCopy(bench, begin.copyOf, id, name);
  if ('whole' in begin) {
    const { site, ...rest } = must(await readUnpacked(bench.storage, begin.whole, id));
    return {
      ...rest,
      records: [...allRecords(site)].map(it => (it.kind === 'settings' ? { ...it, name } : it)),
    };
  }
  const { names, stored } = await drawPictures(bench, id, 'demo' in begin ? drawings : neutralPictures);
  const file = (drawing: string) => names.get(drawing) ?? '';
  if ('demo' in begin) {
    const sound = Buffer.from(bellSound());
    const bell = await bench.pictures.write(id, sound, 'wav');
    names.set(BELL, bell);
    stored.push(storedFile(bell, sound));
    const site = begin.demo === 'large' ? tolvaneLarge(file) : tolvane(file);
    return { records: [...allRecords(site)], stored };
  }
  const guide = begin.guide && (await guideFor(bench, begin.guide, account, name));
  const made =
    'ownSite' in begin
      ? neutralSite(await ownSite(bench, begin.ownSite, account), name, guide, file)
      : guide
        ? createSite(starterNamed(begin.starter), name, file, guide)
        : createSite(starterNamed(begin.starter), name, file);
  const briefed = must(applyChange(made, { edits: begin.brief ? briefNotes(made, begin.brief) : [] })).site;
  const records = [...allRecords(briefed)];
  if ('ownSite' in begin) {
    // Its pictures are neutral now; what else it has goes along.
    const laid = new Set(stored.map(it => it.file));
    const others = records.filter(it => !('file' in it) || !laid.has(it.file));
    stored.push(...(await bench.files.copy(others, begin.ownSite, id)));
  }
  if (begin.guide && 'kept' in begin.guide)
    stored.push(...(await layGuideFiles(bench, begin.guide.kept, records, id)));
  return { records, stored };
}

/** A site that an account designs, as it is now; nobody else’s is found. */
async function ownSite({ database, sites }: Workbench, site: string, account: string): Promise<Site> {
  const [member] = await database.query(
    "select 1 from members where site_id = $1 and account_id = $2 and role = 'designer'",
    [site, account],
  );
  if (!member) throw notFound('site');
  return (await sites.at(site)).site;
}

/** Settings under another name, without the address at which another site is found. */
function renamed({ address: _, ...settings }: SettingsRecord, name: string): SettingsRecord {
  return { ...settings, name };
}

/** Another site as it is now under a name of its own, with the files that it names. */
async function layCopy({ sites, files }: Workbench, from: string, to: string, name: string): Promise<Laid> {
  const { site } = await sites.at(from);
  const records = [...allRecords(site)].map(it => (it.kind === 'settings' ? renamed(it, name) : it));
  return { records, stored: await files.copy(records, from, to) };
}

/**
 * Makes a site with its pictures, laid as one change like any other; all of it, or nothing. False where somebody has taken
 * its id since.
 */
export async function makeSite(
  bench: Workbench,
  { site: id, name, account, begin }: { site: string; name: string; account: string; begin: Beginning },
): Promise<boolean> {
  const { records, stored, lay } = await layBeginning(bench, begin, { id, name, account });
  const edits = records.map((record): Edit => ({ op: 'put', record }));
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
    if (!accepted.ok) throw new ProblemException(accepted.problem);
    await lay?.();
    // What a foundation of the guide can be reset to.
    if (!('demo' in begin) || begin.demo === 'small')
      await keepAt(query, id, account, AS_IT_BEGAN, { seq: accepted.value.seq, site: siteOf(records) });
    return true;
  });
}

/** Note on the snapshot that every new site has. */
const AS_IT_BEGAN = 'As the site began';

/** Drawings as pictures by where they come from; they are the same for every site, so they are drawn once. */
const drawn = new Map<() => Drawing[], Promise<readonly { name: string; data: Buffer }[]>>();

async function drawAll(list: readonly Drawing[]) {
  const all: { name: string; data: Buffer }[] = [];
  for (const { name, svg } of list)
    all.push({ name, data: await sharp(Buffer.from(svg)).webp({ quality: 82 }).toBuffer() });
  return all;
}

async function drawPictures({ pictures }: Workbench, site: string, list: () => Drawing[]) {
  const names = new Map<string, string>();
  const stored: StoredFile[] = [];
  const drawing = drawn.get(list) ?? drawAll(list());
  drawn.set(list, drawing);
  for (const { name, data } of await drawing) {
    const file = await pictures.write(site, data);
    names.set(name, file);
    stored.push(storedFile(file, data));
  }
  return { names, stored };
}
