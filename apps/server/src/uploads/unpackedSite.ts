import { fail, ok, type Result, type Site } from '@cove/core';
import { filedRecords, fileInArchive, readWholeSite, SITE_FILE } from '@cove/core/wholeSite';
import { incomingPath, type Storage } from '../storage/storage';
import { pathOf, type StoredFile } from '../storage/storedFiles';

/** A whole site that was sent, unpacked: its files have been looked at, its records have not. */
export interface UnpackedSite {
  /** Its folder among what is on its way in. */
  folder: string;
  files: readonly { path: string; stored: StoredFile }[];
}

/** A site that was read, and what has to be done for it to be taken. */
interface IncomingSite {
  site: Site;
  stored: readonly StoredFile[];
  /** Lays its files where the site it becomes looks for its own. */
  lay(): Promise<void>;
}

/** Reads an unpacked site that becomes the site `to`: all of it, with a file for every record that names one. */
export async function readUnpacked(
  storage: Storage,
  { folder, files }: UnpackedSite,
  to: string,
): Promise<Result<IncomingSite>> {
  const data = await storage.read(incomingPath(`${folder}/${SITE_FILE}`));
  if (!data) throw new Error(`${folder} is not unpacked`);
  const read = readWholeSite(new TextDecoder().decode(data));
  if (!read.ok) return read;
  const { site } = read.value;
  const there = new Map(files.map(it => [it.path, it.stored]));
  const stored: StoredFile[] = [];
  const copies: { from: string; to: string }[] = [];
  for (const record of filedRecords(site)) {
    const path = fileInArchive(record);
    const kept = pathOf(record, to);
    const found = there.get(path);
    const isKept = await storage.has(kept);
    if (!found && !isKept)
      return fail({
        code: 'missing-file',
        message: `${path} is missing beside it. The ${record.kind} ${record.id} needs it.`,
        record: record.id,
        found: path,
      });
    if (found) stored.push(found);
    // Names are made of what files hold, so one that is there is the same.
    if (found && !isKept) copies.push({ from: incomingPath(`${folder}/${path}`), to: kept });
  }
  return ok({
    site,
    stored,
    async lay() {
      for (const it of copies) await storage.copy(it.from, it.to);
    },
  });
}
