import { createHash } from 'node:crypto';
import { type AssetRecord, type FontRecord, type Problem, type SiteRecord } from '@cove/core';
import type { Query } from '../common/database';
import { assetPath, fontPath, type Storage } from './storage';
import { FONT_TYPES, typeOfBytes } from './typeOfBytes';

export interface StoredFile {
  file: string;
  mime: string;
  bytes: number;
  /** SHA-256. */
  digest: Buffer;
}

/** What a file is, told by what it holds; for files that were made or checked here. */
export function storedFile(file: string, data: Uint8Array): StoredFile {
  const mime = typeOfBytes(data, file);
  if (!mime) throw new Error(`${file} is none of the files that a site may have`);
  return { file, mime, bytes: data.length, digest: createHash('sha256').update(data).digest() };
}

type Filed = AssetRecord | FontRecord;
/** Where the file of a record is kept for a site. */
export const pathOf = ({ kind, file }: Filed, site: string): string =>
  kind === 'asset' ? assetPath(site, file) : fontPath(site, file);
const isFiled = (record: SiteRecord): record is Filed => record.kind === 'asset' || record.kind === 'font';
const statedType = (record: Filed): string =>
  record.kind === 'asset' ? record.mime : FONT_TYPES[record.format];

/** The files of each site, by what they hold. A record that names one is accepted only where it is there. */
export class StoredFiles {
  constructor(private readonly storage: Storage) {}

  async note(query: Query, site: string, files: readonly StoredFile[]): Promise<void> {
    if (files.length === 0) return;
    await query(
      `insert into stored_files (site_id, file, mime, bytes, digest)
       select $1, * from unnest($2::text[], $3::text[], $4::int[], $5::bytea[]) on conflict do nothing`,
      [
        site,
        files.map(it => it.file),
        files.map(it => it.mime),
        files.map(it => it.bytes),
        files.map(it => it.digest),
      ],
    );
  }

  /** The first of some records that names a file which this site has not, or has as something else. */
  async missing(query: Query, site: string, records: Iterable<SiteRecord>): Promise<Problem | null> {
    const filed = [...records].filter(isFiled);
    if (filed.length === 0) return null;
    const rows = await query<{ file: string; mime: string }>(
      'select file, mime from stored_files where site_id = $1 and file = any($2)',
      [site, filed.map(it => it.file)],
    );
    const types = new Map(rows.map(it => [it.file, it.mime]));
    for (const record of filed) {
      const found = types.get(record.file) ?? (await this.adopt(query, site, record));
      if (found === statedType(record)) continue;
      return {
        code: 'no-such-file',
        message: found
          ? `The file of ${record.id} is ${found}, not ${statedType(record)}.`
          : `The file of ${record.id} is not stored at this site. Upload it first.`,
        record: record.id,
        path: 'file',
        found: found ?? record.file,
        expected: `a stored file of type ${statedType(record)}`,
      };
    }
    return null;
  }

  /** Lays the files that records of one site name where another site looks for its own. */
  async copy(records: readonly SiteRecord[], from: string, to: string): Promise<StoredFile[]> {
    const laid: StoredFile[] = [];
    for (const record of records.filter(isFiled)) {
      const data = await this.storage.read(pathOf(record, from));
      if (!data) continue;
      await this.storage.write(pathOf(record, to), data);
      laid.push(storedFile(record.file, data));
    }
    return laid;
  }

  /** Notes a file that was stored before files were noted; its type, or null where there is none. */
  private async adopt(query: Query, site: string, record: Filed): Promise<string | null> {
    const { file } = record;
    const data = await this.storage.read(pathOf(record, site));
    if (!data || typeOfBytes(data, file) === null) return null;
    const stored = storedFile(file, data);
    await this.note(query, site, [stored]);
    return stored.mime;
  }
}
