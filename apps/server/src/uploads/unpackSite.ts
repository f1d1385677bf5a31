import { createWriteStream } from 'node:fs';
import { copyFile, mkdir, open, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { fail, LIMITS, ok, type Problem, type Result } from '@cove/core';
import { SITE_FILE } from '@cove/core/wholeSite';
import { type Entry, openPromise, type ZipFile } from 'yauzl';

/** Where what lies at a path is unpacked to. */
export const unpackedFolder = (path: string): string => `${path}-unpacked`;

/** What may lie beside the site itself. */
const FILE = /^(?:assets|fonts)\/[a-f0-9]{16,64}\.[a-z0-9]{2,5}$/;
const { characters: MOST_CHARACTERS, entries: MOST_ENTRIES, unpackedBytes } = LIMITS.wholeSite;

const megabytes = (bytes: number): string => `${Math.floor(bytes / 1024 / 1024)} MB`;
const bad = (message: string, details: Partial<Problem> = {}) =>
  fail({ code: 'bad-archive', message, expected: 'a whole site as it was downloaded', ...details });

async function isArchive(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer } = await file.read(Buffer.alloc(2), 0, 2, 0);
    return buffer.toString('latin1') === 'PK';
  } finally {
    await file.close();
  }
}

/** Entries by what they are called below the folder in which the site lies; others are not looked at. */
function wanted(entries: readonly Entry[]): Result<Map<string, Entry>> {
  const sites = entries.filter(it => it.fileName === SITE_FILE || it.fileName.endsWith(`/${SITE_FILE}`));
  const [site, another] = sites;
  if (!site) return bad(`The archive holds no ${SITE_FILE}.`);
  if (another) return bad(`The archive holds more than one ${SITE_FILE}.`, { found: another.fileName });
  const folder = site.fileName.slice(0, -SITE_FILE.length);
  const found = new Map<string, Entry>();
  let bytes = 0;
  for (const entry of entries) {
    if (!entry.fileName.startsWith(folder)) continue;
    const name = entry.fileName.slice(folder.length);
    if (name !== SITE_FILE && !FILE.test(name)) continue;
    if (found.has(name)) return bad(`${name} lies in the archive twice.`, { found: name });
    const most = name === SITE_FILE ? MOST_CHARACTERS : LIMITS.upload.fileBytes;
    if (entry.uncompressedSize > most)
      return bad(`${name} is larger than ${megabytes(most)}.`, { found: name });
    bytes += entry.uncompressedSize;
    if (bytes > unpackedBytes) return bad(`The archive unpacks to more than ${megabytes(unpackedBytes)}.`);
    found.set(name, entry);
  }
  return ok(found);
}

async function entriesOf(zip: ZipFile): Promise<Result<Entry[]>> {
  const entries: Entry[] = [];
  for await (const entry of zip.eachEntry()) {
    entries.push(entry);
    if (entries.length > MOST_ENTRIES)
      return bad(`The archive holds more than ${MOST_ENTRIES.toLocaleString('en')} files.`);
  }
  return ok(entries);
}

async function unpack(path: string, folder: string): Promise<Result<string[]>> {
  let at = 'The archive';
  const zip = await openPromise(path, { autoClose: false }).catch((error: Error) => error);
  if (zip instanceof Error) return bad(`The archive cannot be read: ${zip.message}.`);
  try {
    const entries = await entriesOf(zip);
    if (!entries.ok) return entries;
    const files = wanted(entries.value);
    if (!files.ok) return files;
    for (const [name, entry] of files.value) {
      at = name;
      const to = join(folder, name);
      await mkdir(dirname(to), { recursive: true });
      // More than an entry says of itself does not come out of it.
      await pipeline(await zip.openReadStreamPromise(entry), createWriteStream(to));
    }
    return ok([...files.value.keys()].filter(it => it !== SITE_FILE));
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return bad(`${at} cannot be unpacked: ${why.slice(0, 200)}.`, { found: at });
  } finally {
    zip.close();
  }
}

/**
 * Unpacks a whole site that lies at a path: an archive, or the JSON alone. Answers where its files lie in the folder, none of
 * which has been looked at; what else an archive holds is left in it.
 */
export async function unpackSite(path: string): Promise<Result<readonly string[]>> {
  const folder = unpackedFolder(path);
  await mkdir(folder, { recursive: true });
  if (!(await isArchive(path))) {
    const { size } = await stat(path);
    if (size > MOST_CHARACTERS) return bad(`The file is larger than ${megabytes(MOST_CHARACTERS)}.`);
    await copyFile(path, join(folder, SITE_FILE));
    return ok([]);
  }
  const unpacked = await unpack(path, folder);
  if (!unpacked.ok) await rm(folder, { recursive: true, force: true });
  return unpacked;
}
